import { formatDistanceToNowStrict } from 'date-fns/formatDistanceToNowStrict'
import { useMemo, useState, type ReactNode } from 'react'
import { StyleSheet, View } from 'react-native'
import type { BoardItem } from '@jokulgale/contract/places'
import type { CallState } from '@jokulgale/core/visit/callSummary'
import { Chips } from '../../ui/Chips'
import { Field } from '../../ui/Field'
import { Line } from '../../ui/Line'
import { LinkPress } from '../../ui/LinkPress'
import { Stack } from '../../ui/Stack'
import { space, target, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { outcomeLabel } from '../record/outcome'
import { callRows, complaintOf, everyCall, stateWords } from './callRows'

interface BoardTableProps {
  readonly items: readonly BoardItem[]
  /** Names of people, by their identity. */
  readonly names: ReadonlyMap<string, string>
  readonly onOpen: (visit: string) => void
}

const columns = [
  { title: 'Unit', flex: 2 },
  { title: 'Site', flex: 3 },
  { title: 'Complaint', flex: 4 },
  { title: 'Technician', flex: 2 },
  { title: 'State', flex: 2 },
  { title: 'Age', flex: 1.4 },
] as const
const states: readonly CallState[] = ['waiting', 'under-way', 'closed']
const all = 'all'

/** The calls on a desk: one line each, narrowed by state, by who has them, by words. */
export function BoardTable({ items, names, onOpen }: BoardTableProps) {
  const [filter, setFilter] = useState(everyCall)
  const rows = useMemo(() => callRows(items, filter), [items, filter])
  const technicians = [...new Set(items.map(({ technician }) => technician))].filter((id) => names.has(id))
  return (
    <Stack gap="medium">
      <Line gap="large" align="flex-end" wraps>
        <View style={{ minWidth: 260, flex: 1 }}>
          <Field
            label="Find"
            value={filter.sought}
            placeholder="unit, site, complaint"
            onChangeText={(sought) => {
              setFilter({ ...filter, sought })
            }}
          />
        </View>
        <Chips
          label="State"
          options={[{ id: all, words: 'All' }, ...states.map((id) => ({ id, words: stateWords[id] }))]}
          chosen={filter.state ?? all}
          onChoose={(id) => {
            setFilter({ ...filter, state: states.find((state) => state === id) ?? null })
          }}
        />
        {technicians.length > 1 ? (
          <Chips
            label="Technician"
            options={[
              { id: all, words: 'Everyone' },
              ...technicians.map((id) => ({ id, words: names.get(id) ?? '' })),
            ]}
            chosen={filter.technician ?? all}
            onChoose={(id) => {
              setFilter({ ...filter, technician: id === all ? null : id })
            }}
          />
        ) : null}
      </Line>
      <View role="table" aria-label="Calls">
        <View
          role="row"
          style={{ flexDirection: 'row', gap: space.medium, paddingLeft: markWidth + space.small }}
        >
          {columns.map(({ title, flex }) => (
            <View key={title} role="columnheader" style={{ flex }}>
              <Words size="small" strong quiet>
                {title}
              </Words>
            </View>
          ))}
        </View>
        {rows.map((item) => (
          <CallRow key={item.visit} item={item} name={names.get(item.technician) ?? ''} onOpen={onOpen} />
        ))}
      </View>
      {rows.length === 0 ? <Words quiet>No call is like this. Take a filter away.</Words> : null}
    </Stack>
  )
}

/** At the left of a row: whether it waits for somebody. */
const markWidth = 4

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    gap: space.medium,
    alignItems: 'center',
    borderTopWidth: 1,
    borderLeftWidth: markWidth,
    paddingLeft: space.small,
  },
})

interface CallRowProps {
  readonly item: BoardItem
  readonly name: string
  readonly onOpen: (visit: string) => void
}

function CallRow({ item, name, onOpen }: CallRowProps) {
  const palette = usePalette()
  const state =
    item.state === 'closed' ? outcomeLabel(item.outcome) || stateWords.closed : stateWords[item.state]
  const cells: readonly ReactNode[] = [
    <LinkPress
      key="unit"
      accessibilityLabel={`${item.unit.label}, ${item.site.name}`}
      onPress={() => {
        onOpen(item.visit)
      }}
      style={{ minHeight: target, justifyContent: 'center' }}
    >
      <Words strong color={palette.accent}>
        {item.unit.label}
      </Words>
    </LinkPress>,
    item.site.name,
    complaintOf(item),
    name,
    state,
    formatDistanceToNowStrict(new Date(item.startedAt)),
  ]
  return (
    <View
      role="row"
      style={[
        styles.row,
        {
          borderColor: palette.line,
          borderLeftColor: item.state === 'waiting' ? palette.live : palette.line,
        },
      ]}
    >
      {columns.map(({ title, flex }, k) => (
        <View key={title} role="cell" style={{ flex }}>
          {typeof cells[k] === 'string' ? <Words numberOfLines={2}>{cells[k]}</Words> : cells[k]}
        </View>
      ))}
    </View>
  )
}
