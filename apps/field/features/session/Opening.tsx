import { ActivityIndicator, StyleSheet, View } from 'react-native'
import { usePalette } from '../../ui/theme'

const styles = StyleSheet.create({
  opening: { flex: 1, alignItems: 'center', justifyContent: 'center' },
})

/** While the device looks up who is signed in. */
export function Opening() {
  const palette = usePalette()
  return (
    <View style={[styles.opening, { backgroundColor: palette.ground }]}>
      <ActivityIndicator color={palette.accent} accessibilityLabel="Opening" />
    </View>
  )
}
