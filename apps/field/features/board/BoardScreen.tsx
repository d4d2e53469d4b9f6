import { useRouter } from 'expo-router'
import { useEffect, useMemo } from 'react'
import { View } from 'react-native'
import type { BoardItem } from '@jokulgale/contract/places'
import { callSummary } from '@jokulgale/core/visit/callSummary'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Press } from '../../ui/Press'
import { Screen, useWide } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'
import { useMayEdit } from '../places/useMayEdit'
import { useSync } from '../sync/SyncContext'
import { UnsentNote } from '../sync/UnsentNote'
import { BoardTable } from './BoardTable'
import { CallCard } from './CallCard'
import { stateWords } from './callRows'

/** Today's calls: what waits, what is under way, what was closed. */
export function BoardScreen() {
  const sync = useSync()
  const router = useRouter()
  const palette = usePalette()
  const wide = useWide()
  const mayEdit = useMayEdit()
  const board = useAppSelector((state) => state.places.board)
  const session = useAppSelector((state) => state.session)
  useEffect(() => {
    void sync.refresh()
  }, [sync])
  const items = useBoardItems()
  const people = useAppSelector(({ places }) => places.places?.people)
  const names = useMemo(() => new Map((people ?? []).map(({ id, name }) => [id, name])), [people])
  const groups: readonly (readonly [string, readonly BoardItem[]])[] = [
    [stateWords.waiting, items.filter(({ state }) => state === 'waiting')],
    [stateWords['under-way'], items.filter(({ state }) => state === 'under-way')],
    [stateWords.closed, items.filter(({ state }) => state === 'closed').slice(0, 12)],
  ]
  return (
    <Screen
      maxWidth={wide ? 1180 : 760}
      head={
        <Heading
          title="Calls"
          below={session.is === 'in' ? `${session.person.name}, ${session.person.shop.name}` : ''}
          right={
            <Line>
              <Press
                kind="quiet"
                title="Shop"
                label="Shop, people and your password"
                onPress={() => {
                  router.navigate('/shop')
                }}
              />
              <Press
                kind="quiet"
                title="Sign out"
                onPress={() => {
                  void sync.signOut()
                }}
              />
            </Line>
          }
        />
      }
      foot={
        <Stack padding="medium" gap="small">
          <UnsentNote />
          <Line gap="small">
            <Press
              title="Bench"
              label="Bench: work something out"
              onPress={() => {
                router.navigate('/bench')
              }}
            />
            <Press
              title="Temporary"
              label="Temporary measures still on"
              onPress={() => {
                router.navigate('/temporary')
              }}
            />
            <Stack grows>
              <Press
                kind="main"
                title={mayEdit ? 'New call' : 'Sites and units'}
                label={mayEdit ? 'New call: choose the unit' : 'Sites and units'}
                onPress={() => {
                  router.navigate('/sites')
                }}
              />
            </Stack>
          </Line>
        </Stack>
      }
    >
      {board === null && items.length === 0 ? (
        <Words quiet>The board comes with the first signal. You can take a call already.</Words>
      ) : null}
      {board !== null && items.length === 0 ? (
        <Words quiet>
          No calls yet. Take one with the button below: choose the site and the unit, then the complaint.
        </Words>
      ) : null}
      {wide && items.length > 0 ? (
        <BoardTable
          items={items}
          names={names}
          onOpen={(visit) => {
            router.navigate(`/visits/${visit}`)
          }}
        />
      ) : (
        groups
          .filter(([, list]) => list.length > 0)
          .map(([title, list]) => (
            <View key={title}>
              <Words
                strong
                quiet
                role="heading"
                aria-level={2}
                style={{ borderBottomWidth: 1, borderColor: palette.line, paddingBottom: 4 }}
              >
                {title}
              </Words>
              {list.map((item) => (
                <CallCard
                  key={item.visit}
                  item={item}
                  onPress={() => {
                    router.navigate(`/visits/${item.visit}`)
                  }}
                />
              ))}
            </View>
          ))
      )}
    </Screen>
  )
}

/** The server's board, with what this device has begun and not sent yet. */
function useBoardItems(): readonly BoardItem[] {
  const { board, places } = useAppSelector((state) => state.places)
  const { visits, logs } = useAppSelector((state) => state.visits)
  const known = new Set(board?.items.map(({ visit }) => visit))
  const own = Object.values(visits)
    .filter(({ id }) => !known.has(id))
    .flatMap(({ id, unit: unitId, startedAt }): readonly BoardItem[] => {
      const unit = places?.units.find((candidate) => candidate.id === unitId)
      const site = places?.sites.find((candidate) => candidate.id === unit?.site)
      return unit && site ? [{ visit: id, unit, site, startedAt, ...callSummary([]) }] : []
    })
  // a log that is here is whole, and newer than what the server last said of it
  return [...own, ...(board?.items ?? [])].map((item) => {
    const log = logs[item.visit] ?? []
    return log.length > 0 ? { ...item, ...callSummary(log) } : item
  })
}
