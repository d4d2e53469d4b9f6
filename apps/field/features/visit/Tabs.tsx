import { memo } from 'react'
import { Pressable, StyleSheet } from 'react-native'
import { Icon } from '../../ui/Icon'
import { Line } from '../../ui/Line'
import { useLow } from '../../ui/Screen'
import { fonts, space, target, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'

const styles = StyleSheet.create({
  tab: { flex: 1, alignItems: 'center', justifyContent: 'center', borderTopWidth: 3 },
})

export const visitTabs = [
  { id: 'look', words: 'Look', icon: 'eye' },
  { id: 'trace', words: 'Trace', icon: 'git-commit' },
  { id: 'suspects', words: 'Suspects', icon: 'list' },
  { id: 'repair', words: 'Repair', icon: 'tool' },
  { id: 'prove', words: 'Prove', icon: 'check-square' },
] as const

export type VisitTab = (typeof visitTabs)[number]['id']

/** Where one is in the call; at the thumb. */
export const Tabs = memo(function Tabs({
  now,
  onChoose,
}: {
  readonly now: VisitTab
  readonly onChoose: (tab: VisitTab) => void
}) {
  const palette = usePalette()
  const low = useLow()
  return (
    <Line role="tablist">
      {visitTabs.map(({ id, words, icon }) => {
        const here = id === now
        return (
          <Pressable
            key={id}
            role="tab"
            aria-selected={here}
            accessibilityLabel={words}
            onPress={() => {
              onChoose(id)
            }}
            style={[
              styles.tab,
              {
                minHeight: low ? target : 56,
                flexDirection: low ? 'row' : 'column',
                gap: low ? space.small : 0,
                borderColor: here ? palette.accent : 'transparent',
              },
            ]}
          >
            <Icon name={icon} size={20} color={here ? palette.accent : palette.quiet} />
            <Words
              size="small"
              color={here ? palette.accent : palette.quiet}
              style={{ fontFamily: here ? fonts.strong : fonts.text }}
            >
              {words}
            </Words>
          </Pressable>
        )
      })}
    </Line>
  )
})
