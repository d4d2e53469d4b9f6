import type { ReactNode } from 'react'
import { Text, type TextProps, type TextStyle } from 'react-native'
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
  readonly children: ReactNode
}

/** All text of the application: one face for words, one tabular face for readings. */
export function Words({ size = 'body', strong = false, quiet = false, color, style, ...rest }: WordsProps) {
  const palette = usePalette()
  const family = size === 'reading' || size === 'huge' ? fonts.reading : strong ? fonts.strong : fonts.text
  return (
    <Text
      {...rest}
      style={[
        sizes[size],
        { fontFamily: family, color: color ?? (quiet ? palette.quiet : palette.text) },
        style,
      ]}
    />
  )
}
