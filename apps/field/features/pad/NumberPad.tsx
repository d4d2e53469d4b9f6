import { useEffect, useRef, useState } from 'react'
import { Platform, Pressable, StyleSheet, View } from 'react-native'
import { Press } from '../../ui/Press'
import { Stack } from '../../ui/Stack'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { Line } from '../../ui/Line'

const styles = StyleSheet.create({
  typed: {
    flexDirection: 'row',
    justifyContent: 'flex-end',
    alignItems: 'baseline',
    gap: space.small,
    borderBottomWidth: 2,
  },
})

/** A multiple that a meter shows: `k` for kΩ. */
export interface UnitMultiple {
  readonly key: string
  readonly unit: string
  readonly factor: number
}

/** Kilohms and megohms, as an ohms range shows them. */
export const ohmMultiples: readonly UnitMultiple[] = [
  { key: 'k', unit: 'kΩ', factor: 1e3 },
  { key: 'M', unit: 'MΩ', factor: 1e6 },
]

interface NumberPadProps {
  readonly unit: string
  /** The display can show OL. */
  readonly overload?: boolean
  readonly signed?: boolean
  readonly doneWords?: string
  /** Multiples of the unit, each with its key on the pad and on a keyboard. */
  readonly multiples?: readonly UnitMultiple[]
  /** The number, and what was typed: its digits say how finely it was read. */
  readonly onDone: (value: number | null, typed: string) => void
}

const mostDigits = 7
const keys = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0', 'back'] as const

/** The application's own pad for numbers: large keys, no system keyboard; a keyboard works too. */
export function NumberPad({
  unit,
  overload = false,
  signed = false,
  doneWords = 'Log',
  multiples = [],
  onDone,
}: NumberPadProps) {
  const palette = usePalette()
  const [text, setText] = useState('')
  const [chosen, setChosen] = useState<UnitMultiple | null>(null)
  const shownUnit = chosen?.unit ?? unit
  const value = Number(text) * (chosen?.factor ?? 1)
  const ready = text !== '' && text !== '-' && text !== '.' && Number.isFinite(value)
  const type = (key: string): void => {
    setText((before) => typed(before, key, signed))
  }
  const choose = (key: string): void => {
    setChosen((before) => (before?.key === key ? null : (multiples.find((each) => each.key === key) ?? null)))
  }
  const done = (): void => {
    onDone(value, chosen ? `${text} ${chosen.key}` : text)
  }
  const pad = useRef<View>(null)
  useEffect(() => {
    if (Platform.OS !== 'web') return undefined
    const listen = (event: KeyboardEvent): void => {
      if (/^[0-9.]$/.test(event.key)) type(event.key)
      else if (event.key === 'Backspace') type('back')
      else if (event.key === '-' && signed) type('-')
      else if (multiples.some(({ key }) => key === event.key)) choose(event.key)
      else if (event.key === 'Enter' && ready && !isOnKeyOf(pad.current)) {
        // whatever has the focus outside the pad, the button that closes the sheet mostly, is not pressed by
        // it
        event.preventDefault()
        event.stopPropagation()
        done()
      }
    }
    window.addEventListener('keydown', listen, true)
    return () => {
      window.removeEventListener('keydown', listen, true)
    }
  })
  return (
    <Stack ref={pad} gap="small">
      <View aria-live="polite" style={[styles.typed, { borderColor: palette.accent }]}>
        <Words size="huge">{text === '' ? '–' : text}</Words>
        <Words size="lead" quiet>
          {shownUnit}
        </Words>
      </View>
      <Line wraps gap="small">
        {keys.map((key) => (
          <Pressable
            key={key}
            accessibilityRole="button"
            accessibilityLabel={key === 'back' ? 'Delete the last digit' : key === '.' ? 'Point' : key}
            onPress={() => {
              type(key)
            }}
            style={({ pressed }) => ({
              width: '31.5%',
              flexGrow: 1,
              minHeight: 56,
              borderRadius: 10,
              alignItems: 'center',
              justifyContent: 'center',
              backgroundColor: pressed ? palette.sunk : palette.raised,
              borderWidth: 1,
              borderColor: palette.line,
            })}
          >
            <Words size="title" tabular>
              {key === 'back' ? '⌫' : key}
            </Words>
          </Pressable>
        ))}
      </Line>
      <Line gap="small">
        {overload ? (
          <Press
            grow
            title="OL"
            label="OL, out of range"
            onPress={() => {
              onDone(null, 'OL')
            }}
          />
        ) : null}
        {multiples.map(({ key, unit: words }) => (
          <Press
            key={key}
            grow
            title={words}
            selected={chosen?.key === key}
            onPress={() => {
              choose(key)
            }}
          />
        ))}
        {signed ? (
          <Press
            grow
            title="±"
            label="Change the sign"
            onPress={() => {
              type('-')
            }}
          />
        ) : null}
        <View style={{ flex: 2 }}>
          <Press
            kind="main"
            title={ready ? `${doneWords} ${text} ${shownUnit}` : doneWords}
            disabled={!ready}
            onPress={done}
          />
        </View>
      </Line>
    </Stack>
  )
}

/** Whether the focus is on a key of the pad itself. */
const isOnKeyOf = (pad: unknown): boolean =>
  pad instanceof HTMLElement && pad.contains(document.activeElement)

function typed(before: string, key: string, signed: boolean): string {
  if (key === 'back') return before.slice(0, -1)
  if (key === '-') return signed ? (before.startsWith('-') ? before.slice(1) : `-${before}`) : before
  if (key === '.' && before.includes('.')) return before
  return before.replace('-', '').length >= mostDigits ? before : before + key
}
