import type { ReactNode } from 'react'
import { View } from 'react-native'
import { Screen } from '../../ui/Screen'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'

/** The screen of somebody who is not in yet: the sign over the door, and one form. */
export function Threshold({ children }: { readonly children: ReactNode }) {
  const palette = usePalette()
  return (
    <Screen maxWidth={420}>
      <View
        style={{ marginTop: space.huge * 2, flexDirection: 'row', gap: space.large, alignItems: 'stretch' }}
      >
        <View aria-hidden style={{ width: 4, borderRadius: 2, overflow: 'hidden' }}>
          <View style={{ flex: 3, backgroundColor: palette.live }} />
          <View style={{ flex: 2, backgroundColor: palette.dead }} />
        </View>
        <View style={{ flex: 1 }}>
          <Words size="title" strong role="heading" aria-level={1}>
            Jokulgale
          </Words>
          <Words quiet>Where did the call stop, and why.</Words>
        </View>
      </View>
      {children}
      <Words size="small" quiet>
        The numbers support your judgement. The unit’s own diagram and nameplate, the manufacturer, local code
        and licensed practice come first.
      </Words>
    </Screen>
  )
}
