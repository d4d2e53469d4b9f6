// by its own path: the package's front door brings all of its parts
import ThemedCheckBox from '@rneui/themed/dist/CheckBox'
import { StyleSheet, View } from 'react-native'
import { Icon } from './Icon'
import { space, target, usePalette } from './theme'
import { Words } from './Words'

const styles = StyleSheet.create({
  whole: { margin: 0, marginLeft: 0, marginRight: 0, padding: 0, backgroundColor: 'transparent' },
  inside: { gap: space.medium, minHeight: target },
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
  return (
    <ThemedCheckBox
      checked={on}
      aria-checked={on}
      accessibilityLabel={title}
      onPress={onPress}
      title={<Words grows>{title}</Words>}
      checkedIcon={<Box on />}
      uncheckedIcon={<Box on={false} />}
      containerStyle={styles.whole}
      wrapperStyle={styles.inside}
    />
  )
}

function Box({ on }: { readonly on: boolean }) {
  const palette = usePalette()
  return (
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
  )
}
