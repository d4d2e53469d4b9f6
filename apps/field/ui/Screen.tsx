import { useEffect, useRef, type ReactNode } from 'react'
import { ScrollView, useWindowDimensions, View } from 'react-native'
import { SafeAreaView } from 'react-native-safe-area-context'
import { lowBelow, space, usePalette, wideFrom } from './theme'

interface ScreenProps {
  readonly head?: ReactNode
  readonly foot?: ReactNode
  readonly children: ReactNode
  /** Wide screens: how far the column may grow, dp. */
  readonly maxWidth?: number
  /** What is shown in it, where that changes: another page begins at its top. */
  readonly page?: string
}

/** A screen: what is read on top and scrolling, what is done in the thumb's reach below. */
export function Screen({ head, foot, children, maxWidth = 760, page }: ScreenProps) {
  const palette = usePalette()
  const low = useLow()
  const scroll = useRef<ScrollView>(null)
  useEffect(() => {
    scroll.current?.scrollTo({ y: 0, animated: false })
  }, [page])
  const column = { width: '100%', maxWidth, alignSelf: 'center' } as const
  return (
    <SafeAreaView
      style={{ flex: 1, backgroundColor: palette.ground }}
      edges={['top', 'bottom', 'left', 'right']}
    >
      {head ? (
        <View
          role="banner"
          style={{ borderBottomWidth: 1, borderColor: palette.line, backgroundColor: palette.raised }}
        >
          <View style={column}>{head}</View>
        </View>
      ) : null}
      <ScrollView
        ref={scroll}
        style={{ flex: 1 }}
        contentContainerStyle={{
          padding: low ? space.small : space.large,
          paddingBottom: low ? space.small : space.huge,
        }}
        keyboardShouldPersistTaps="handled"
      >
        <View role="main" style={[column, { gap: space.large }]}>
          {children}
        </View>
      </ScrollView>
      {foot ? (
        <View
          role="contentinfo"
          style={{ borderTopWidth: 1, borderColor: palette.line, backgroundColor: palette.raised }}
        >
          <View style={column}>{foot}</View>
        </View>
      ) : null}
    </SafeAreaView>
  )
}

export const useWide = (): boolean => useWindowDimensions().width >= wideFrom

/** A phone held across, or a desk zoomed in. */
export function useLow(): boolean {
  const { width, height } = useWindowDimensions()
  return height < lowBelow && width > height
}
