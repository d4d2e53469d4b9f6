import { StyleSheet, View } from 'react-native'
import { arranged, type ArrangedProps } from './arrangement'

const { line, wrapping } = StyleSheet.create({
  line: { flexDirection: 'row' },
  wrapping: { flexWrap: 'wrap' },
})

interface LineProps extends ArrangedProps {
  /** Goes on below where there is no room. */
  readonly wraps?: boolean
}

/** Pieces beside one another. */
export function Line({ gap, padding, align, justify, grows, wraps, style, ...rest }: LineProps) {
  return (
    <View
      {...rest}
      style={[line, wraps && wrapping, arranged({ gap, padding, align, justify, grows }), style]}
    />
  )
}
