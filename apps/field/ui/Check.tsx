import { Pressable, View } from 'react-native'
import { Icon } from './Icon'
import { space, target, usePalette } from './theme'
import { Words } from './Words'

interface CheckProps {
  readonly title: string
  readonly on: boolean
  readonly onPress: () => void
}

/** A thing to be ticked: done, or not yet. */
export function Check({ title, on, onPress }: CheckProps) {
  const palette = usePalette()
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      accessibilityLabel={title}
      onPress={onPress}
      style={{ flexDirection: 'row', alignItems: 'center', gap: space.medium, minHeight: target }}
    >
      <View
        aria-hidden
        style={{
          width: 28,
          height: 28,
          borderRadius: 6,
          borderWidth: 2,
          borderColor: on ? palette.accent : palette.quiet,
          backgroundColor: on ? palette.accent : palette.raised,
          alignItems: 'center',
          justifyContent: 'center',
        }}
      >
        {on ? <Icon name="check" size={20} color={palette.onAccent} /> : null}
      </View>
      <Words style={{ flex: 1 }}>{title}</Words>
    </Pressable>
  )
}
