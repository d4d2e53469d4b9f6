import { formatDistanceToNowStrict } from 'date-fns/formatDistanceToNowStrict'
import { View } from 'react-native'
import type { BoardItem } from '@jokulgale/contract/places'
import { Icon } from '../../ui/Icon'
import { LinkPress } from '../../ui/LinkPress'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { outcomeLabel } from '../record/outcome'

/** One call: the unit, where it is, and the customer's words. */
export function CallCard({ item, onPress }: { readonly item: BoardItem; readonly onPress: () => void }) {
  const palette = usePalette()
  const age = formatDistanceToNowStrict(new Date(item.startedAt))
  return (
    <LinkPress
      accessibilityLabel={`${item.unit.label}, ${item.site.name}`}
      onPress={onPress}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space.medium,
        paddingVertical: space.medium,
        borderBottomWidth: 1,
        borderColor: palette.line,
        minHeight: 76,
      }}
    >
      <View
        aria-hidden
        style={{
          width: 4,
          alignSelf: 'stretch',
          borderRadius: 2,
          backgroundColor:
            item.state === 'closed' ? palette.line : item.state === 'waiting' ? palette.live : palette.accent,
        }}
      />
      <View style={{ flex: 1 }}>
        <View style={{ flexDirection: 'row', alignItems: 'baseline', gap: space.small }}>
          <Words size="lead" strong>
            {item.unit.label}
          </Words>
          <Words size="small" quiet style={{ flex: 1, textAlign: 'right' }}>
            {item.state === 'closed' ? `${outcomeLabel(item.outcome) || 'Closed'}, ${age} ago` : `${age}`}
          </Words>
        </View>
        <Words size="small" quiet>
          {item.site.name}
        </Words>
        {item.words ? <Words numberOfLines={2}>“{item.words}”</Words> : null}
      </View>
      <Icon name="chevron-right" color={palette.quiet} />
    </LinkPress>
  )
}
