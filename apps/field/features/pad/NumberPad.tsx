import { useEffect, useState } from 'react'
import { Platform, Pressable, View } from 'react-native'
import { Press } from '../../ui/Press'
import { fonts, space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'

interface NumberPadProps {
  readonly unit: string
  /** The display can show OL. */
  readonly overload?: boolean
  readonly signed?: boolean
  readonly doneWords?: string
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
  onDone,
}: NumberPadProps) {
  const palette = usePalette()
  const [text, setText] = useState('')
  const value = Number(text)
  const ready = text !== '' && text !== '-' && text !== '.' && Number.isFinite(value)
  const type = (key: string): void => {
    setText((before) => typed(before, key, signed))
  }
  useEffect(() => {
    if (Platform.OS !== 'web') return undefined
    const listen = (event: KeyboardEvent): void => {
      if (/^[0-9.]$/.test(event.key)) type(event.key)
      else if (event.key === 'Backspace') type('back')
      else if (event.key === '-' && signed) type('-')
      else if (event.key === 'Enter' && ready) {
        event.preventDefault()
        onDone(value, text)
      }
    }
    window.addEventListener('keydown', listen)
    return () => {
      window.removeEventListener('keydown', listen)
    }
  })
  return (
    <View style={{ gap: space.small }}>
      <View
        aria-live="polite"
        style={{
          flexDirection: 'row',
          justifyContent: 'flex-end',
          alignItems: 'baseline',
          gap: space.small,
          borderBottomWidth: 2,
          borderColor: palette.accent,
        }}
      >
        <Words size="huge">{text === '' ? '–' : text}</Words>
        <Words size="lead" quiet>
          {unit}
        </Words>
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
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
            <Words size="title" style={{ fontFamily: fonts.reading }}>
              {key === 'back' ? '⌫' : key}
            </Words>
          </Pressable>
        ))}
      </View>
      <View style={{ flexDirection: 'row', gap: space.small }}>
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
            title={ready ? `${doneWords} ${text} ${unit}` : doneWords}
            disabled={!ready}
            onPress={() => {
              onDone(value, text)
            }}
          />
        </View>
      </View>
    </View>
  )
}

function typed(before: string, key: string, signed: boolean): string {
  if (key === 'back') return before.slice(0, -1)
  if (key === '-') return signed ? (before.startsWith('-') ? before.slice(1) : `-${before}`) : before
  if (key === '.' && before.includes('.')) return before
  return before.replace('-', '').length >= mostDigits ? before : before + key
}
