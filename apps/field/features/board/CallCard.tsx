import { formatDistanceToNowStrict } from 'date-fns/formatDistanceToNowStrict'
import { StyleSheet, View } from 'react-native'
import type { BoardItem } from '@jokulgale/contract/places'
import { Icon } from '../../ui/Icon'
import { Line } from '../../ui/Line'
import { LinkPress } from '../../ui/LinkPress'
import { Stack } from '../../ui/Stack'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { outcomeLabel } from '../record/outcome'

const styles = StyleSheet.create({
  card: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.medium,
    paddingVertical: space.medium,
    borderBottomWidth: 1,
    minHeight: 76,
  },
  mark: { width: 4, alignSelf: 'stretch', borderRadius: 2 },
})

/** One call: the unit, where it is, and the customer's words. */
export function CallCard({ item, onPress }: { readonly item: BoardItem; readonly onPress: () => void }) {
  const palette = usePalette()
  const age = formatDistanceToNowStrict(new Date(item.startedAt))
  return (
    <LinkPress
      accessibilityLabel={`${item.unit.label}, ${item.site.name}`}
      onPress={onPress}
      style={[styles.card, { borderColor: palette.line }]}
    >
      <View
        aria-hidden
        style={[
          styles.mark,
          {
            backgroundColor:
              item.state === 'closed'
                ? palette.line
                : item.state === 'waiting'
                  ? palette.live
                  : palette.accent,
          },
        ]}
      />
      <Stack grows>
        <Line align="baseline" gap="small">
          <Words size="lead" strong>
            {item.unit.label}
          </Words>
          <Words size="small" quiet style={{ flex: 1, textAlign: 'right' }}>
            {item.state === 'closed' ? `${outcomeLabel(item.outcome) || 'Closed'}, ${age} ago` : `${age}`}
          </Words>
        </Line>
        <Words size="small" quiet>
          {item.site.name}
        </Words>
        {item.words ? <Words numberOfLines={2}>“{item.words}”</Words> : null}
      </Stack>
      <Icon name="chevron-right" color={palette.quiet} />
    </LinkPress>
  )
}
