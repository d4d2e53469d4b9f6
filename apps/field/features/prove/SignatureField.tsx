import { useEffect, useRef } from 'react'
import SignaturePad from 'signature_pad'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { strokesPath } from './strokesPath'

interface SignatureFieldProps {
  /** Who is to sign. */
  readonly by: string
  /** The strokes as the data of an SVG path; empty when they are wiped off. */
  readonly onSigned: (strokes: string) => void
}

const height = 110

/** A field to sign in with a finger. */
export default function SignatureField({ by, onSigned }: SignatureFieldProps) {
  const palette = usePalette()
  const canvas = useRef<HTMLCanvasElement>(null)
  const pad = useRef<SignaturePad | null>(null)
  const signed = useRef(onSigned)
  useEffect(() => {
    signed.current = onSigned
  }, [onSigned])
  useEffect(() => {
    const field = canvas.current
    if (!field) return undefined
    field.width = field.offsetWidth
    field.height = height
    const made = new SignaturePad(field, { penColor: palette.text, minWidth: 1, maxWidth: 2.5 })
    made.addEventListener('endStroke', () => {
      const strokes = made.toData().map(({ points }) => points)
      signed.current(strokesPath(strokes, field.width, field.height))
    })
    pad.current = made
    return () => {
      made.off()
    }
  }, [palette.text])
  return (
    <Stack gap="small">
      <Words size="small" quiet>{`${by} signs here:`}</Words>
      <canvas
        ref={canvas}
        aria-label={`Field for the signature of ${by}`}
        style={{ width: '100%', height, border: `1px solid ${palette.line}`, borderRadius: 10 }}
      />
      <Press
        kind="quiet"
        title="Wipe it off"
        onPress={() => {
          pad.current?.clear()
          onSigned('')
        }}
      />
    </Stack>
  )
}
