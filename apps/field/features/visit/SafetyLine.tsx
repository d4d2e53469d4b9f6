import { memo } from 'react'
import { StyleSheet, View } from 'react-native'
import { unsafeFindings } from '@jokulgale/core/visit/temporary'
import { Icon } from '../../ui/Icon'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import type { OpenVisit } from './useVisit'

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    gap: space.small,
    alignItems: 'center',
    paddingHorizontal: space.medium,
    paddingVertical: 6,
    borderTopWidth: 2,
  },
})

/** Says on every screen of a visit that a safety control is out of its circuit. */
export const SafetyLine = memo(function SafetyLine({
  visit: { diagram, state },
}: {
  readonly visit: OpenVisit
}) {
  const palette = usePalette()
  const [first] = unsafeFindings(diagram, state.entries)
  if (!first) return null
  return (
    <View role="alert" style={[styles.line, { borderColor: palette.wrong }]}>
      <Icon name="x-octagon" color={palette.wrong} size={20} />
      <Words
        size="small"
        strong
        color={palette.wrong}
        grows
      >{`Unsafe. ${first.words}. Leave the unit off and tell somebody.`}</Words>
    </View>
  )
})
