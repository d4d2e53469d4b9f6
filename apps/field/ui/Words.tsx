import type { ReactNode } from 'react'
import { Text, type TextProps, type TextStyle } from 'react-native'
import { growing } from './arrangement'
import { fonts, usePalette } from './theme'

type Size = 'small' | 'body' | 'lead' | 'title' | 'reading' | 'huge'

const sizes: Readonly<Record<Size, TextStyle>> = {
  small: { fontSize: 14, lineHeight: 19 },
  body: { fontSize: 16, lineHeight: 22 },
  lead: { fontSize: 19, lineHeight: 25 },
  title: { fontSize: 24, lineHeight: 30 },
  reading: { fontSize: 28, lineHeight: 34 },
  huge: { fontSize: 44, lineHeight: 52 },
}

interface WordsProps extends TextProps {
  readonly size?: Size
  readonly strong?: boolean
  readonly quiet?: boolean
  readonly color?: string
  /** In the face of readings, whose digits stand below one another. */
  readonly tabular?: boolean
  /** Takes the room that is left beside others. */
  readonly grows?: boolean
  readonly children: ReactNode
}

/** All text of the application: one face for words, one tabular face for readings. */
export function Words({
  size = 'body',
  strong = false,
  quiet = false,
  tabular = size === 'reading' || size === 'huge',
  grows = false,
  color,
  style,
  ...rest
}: WordsProps) {
  const palette = usePalette()
  const family = tabular ? fonts.reading : strong ? fonts.strong : fonts.text
  return (
    <Text
      {...rest}
      style={[
        sizes[size],
        grows && growing,
        { fontFamily: family, color: color ?? (quiet ? palette.quiet : palette.text) },
        style,
      ]}
    />
  )
}
