import { Pressable, type PressableProps } from 'react-native'

interface LinkPressProps extends Omit<PressableProps, 'onPress' | 'accessibilityRole' | 'role'> {
  readonly onPress: () => void
}

/** On the web a link without an address of its own does nothing at Enter: it is pressed as by a finger. */
const pressedByEnter = (press: () => void): object => ({
  onKeyUp: (event: { readonly key: string }) => {
    if (event.key === 'Enter') press()
  },
})

/** Something that leads elsewhere, by a finger, a pointer or Enter. */
export const LinkPress = ({ onPress, ...rest }: LinkPressProps) => (
  <Pressable accessibilityRole="link" onPress={onPress} {...pressedByEnter(onPress)} {...rest} />
)
