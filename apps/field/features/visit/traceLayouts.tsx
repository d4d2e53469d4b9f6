import { useState, type ReactNode } from 'react'
import { ScrollView, useWindowDimensions, View } from 'react-native'
import { Chips } from '../../ui/Chips'
import { space } from '../../ui/theme'
import { ShortcutList } from '../help/shortcuts'

/** Width of the ask beside a low path, and height of what stands above and below both, dp. */
const lowPanelWidth = 264
const aroundLowTrace = 118

/** Height of what stands above and below the wide trace, dp. */
const aroundWideTrace = 215

interface WideTraceProps {
  readonly strips: ReactNode
  readonly ladder: ReactNode
  readonly panel: ReactNode
  readonly suspects: ReactNode
}

/** On a low screen the ask stands beside the path, and leaves it the height. */
export function LowTrace({ strips, panel }: Pick<WideTraceProps, 'strips' | 'panel'>) {
  const { height } = useWindowDimensions()
  return (
    <View style={{ flexDirection: 'row', gap: space.medium, height: height - aroundLowTrace }}>
      <ScrollView style={{ flex: 1 }}>{strips}</ScrollView>
      <ScrollView style={{ flexBasis: lowPanelWidth, flexGrow: 0 }}>{panel}</ScrollView>
    </View>
  )
}

const views = [
  { id: 'paths', words: 'Paths of this call' },
  { id: 'ladder', words: 'Whole ladder' },
] as const

/** At a desk: the paths of the call or the whole ladder, and beside it the ask and the suspects. */
export function WideTrace({ strips, ladder, panel, suspects }: WideTraceProps) {
  const { height } = useWindowDimensions()
  const [view, setView] = useState<(typeof views)[number]['id']>('paths')
  return (
    <View style={{ flexDirection: 'row', gap: space.huge, height: Math.max(400, height - aroundWideTrace) }}>
      <View style={{ flex: 5, gap: space.small }}>
        <Chips label="What is drawn" options={views} chosen={view} onChoose={setView} />
        {view === 'ladder' ? ladder : <ScrollView>{strips}</ScrollView>}
      </View>
      <ScrollView style={{ flex: 4 }} contentContainerStyle={{ gap: space.large }}>
        {panel}
        {suspects}
        <ShortcutList />
      </ScrollView>
    </View>
  )
}
