import type { Ref } from 'react'
import {
  StyleSheet,
  type FlexAlignType,
  type StyleProp,
  type View,
  type ViewProps,
  type ViewStyle,
} from 'react-native'
import { space } from './theme'

type Step = keyof typeof space

/** How pieces stand: steps of space between and around them, and whether they take the room that is left. */
export interface Arrangement {
  readonly gap?: Step
  readonly padding?: Step
  readonly align?: FlexAlignType
  readonly justify?: ViewStyle['justifyContent']
  readonly grows?: boolean
}

export type ArrangedProps = Arrangement & ViewProps & { readonly ref?: Ref<View> }

const gaps = StyleSheet.create({
  hair: { gap: space.hair },
  small: { gap: space.small },
  medium: { gap: space.medium },
  large: { gap: space.large },
  huge: { gap: space.huge },
})

const paddings = StyleSheet.create({
  hair: { padding: space.hair },
  small: { padding: space.small },
  medium: { padding: space.medium },
  large: { padding: space.large },
  huge: { padding: space.huge },
})

/** Takes the room that is left. */
export const { growing } = StyleSheet.create({ growing: { flex: 1 } })

/** The same as styles, before any of the piece's own. */
export const arranged = ({ gap, padding, align, justify, grows }: Arrangement): StyleProp<ViewStyle> => [
  gap && gaps[gap],
  padding && paddings[padding],
  grows && growing,
  align && { alignItems: align },
  justify && { justifyContent: justify },
]
