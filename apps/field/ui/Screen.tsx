import type { ReactNode } from 'react'
import { ScrollView, useWindowDimensions, View } from 'react-native'
import { SafeAreaView } from 'react-native-safe-area-context'
import { space, usePalette, wideFrom } from './theme'

interface ScreenProps {
  readonly head?: ReactNode
  readonly foot?: ReactNode
  readonly children: ReactNode
  /** Wide screens: how far the column may grow, dp. */
  readonly maxWidth?: number
}

/** A screen: what is read on top and scrolling, what is done in the thumb's reach below. */
export function Screen({ head, foot, children, maxWidth = 760 }: ScreenProps) {
  const palette = usePalette()
  const column = { width: '100%', maxWidth, alignSelf: 'center' } as const
  return (
    <SafeAreaView style={{ flex: 1, backgroundColor: palette.ground }} edges={['top', 'bottom', 'left', 'right']}>
      {head ? <View role="banner" style={{ borderBottomWidth: 1, borderColor: palette.line, backgroundColor: palette.raised }}><View style={column}>{head}</View></View> : null}
      <ScrollView style={{ flex: 1 }} contentContainerStyle={{ padding: space.large, paddingBottom: space.huge }} keyboardShouldPersistTaps="handled">
        <View role="main" style={[column, { gap: space.large }]}>{children}</View>
      </ScrollView>
      {foot ? <View role="contentinfo" style={{ borderTopWidth: 1, borderColor: palette.line, backgroundColor: palette.raised }}><View style={column}>{foot}</View></View> : null}
    </SafeAreaView>
  )
}

export const useWide = (): boolean => useWindowDimensions().width >= wideFrom
