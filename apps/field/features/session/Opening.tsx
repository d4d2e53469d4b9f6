import { ActivityIndicator, View } from 'react-native'
import { usePalette } from '../../ui/theme'

/** While the device looks up who is signed in. */
export function Opening() {
  const palette = usePalette()
  return (
    <View
      style={{ flex: 1, alignItems: 'center', justifyContent: 'center', backgroundColor: palette.ground }}
    >
      <ActivityIndicator color={palette.accent} accessibilityLabel="Opening" />
    </View>
  )
}
