import { Pressable, StyleSheet, View } from 'react-native'
import { Icon } from './Icon'
import { space, target, usePalette } from './theme'
import { Words } from './Words'

const styles = StyleSheet.create({
  whole: { flexDirection: 'row', alignItems: 'center', gap: space.medium, minHeight: target },
  box: {
    width: 28,
    height: 28,
    borderRadius: 6,
    borderWidth: 2,
    alignItems: 'center',
    justifyContent: 'center',
  },
})

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
      style={styles.whole}
    >
      <View
        aria-hidden
        style={[
          styles.box,
          {
            borderColor: on ? palette.accent : palette.quiet,
            backgroundColor: on ? palette.accent : palette.raised,
          },
        ]}
      >
        {on ? <Icon name="check" size={20} color={palette.onAccent} /> : null}
      </View>
      <Words grows>{title}</Words>
    </Pressable>
  )
}
