import { View } from 'react-native'
import { arranged, type ArrangedProps } from './arrangement'

/** Pieces one below another. */
export function Stack({ gap, padding, align, justify, grows, style, ...rest }: ArrangedProps) {
  return <View {...rest} style={[arranged({ gap, padding, align, justify, grows }), style]} />
}
