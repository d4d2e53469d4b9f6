import type { ReactNode } from 'react'
import { StyleSheet, View } from 'react-native'
import { Screen } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'

const styles = StyleSheet.create({
  head: { marginTop: space.huge * 2, flexDirection: 'row', gap: space.large, alignItems: 'stretch' },
  mark: { width: 4, borderRadius: 2, overflow: 'hidden' },
})

/** The screen of somebody who is not in yet: the sign over the door, and one form. */
export function Threshold({ children }: { readonly children: ReactNode }) {
  const palette = usePalette()
  return (
    <Screen maxWidth={420}>
      <View style={styles.head}>
        <View aria-hidden style={styles.mark}>
          <View style={{ flex: 3, backgroundColor: palette.live }} />
          <View style={{ flex: 2, backgroundColor: palette.dead }} />
        </View>
        <Stack grows>
          <Words size="title" strong role="heading" aria-level={1}>
            Jokulgale
          </Words>
          <Words quiet>Where did the call stop, and why.</Words>
        </Stack>
      </View>
      {children}
      <Words size="small" quiet>
        The numbers support your judgement. The unit’s own diagram and nameplate, the manufacturer, local code
        and licensed practice come first.
      </Words>
    </Screen>
  )
}
