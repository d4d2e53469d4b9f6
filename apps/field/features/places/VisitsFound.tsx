import { useRouter } from 'expo-router'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { useStore } from 'react-redux'
import type { FoundVisit } from '@jokulgale/contract/records'
import { lineFound, wordsOfVisit, wordsSought } from '@jokulgale/core/visit/visitWords'
import { Row } from '../../ui/Row'
import { Words } from '../../ui/Words'
import { useAppSelector, type AppState } from '../store'
import { request } from '../sync/request'

interface Found {
  readonly of: string
  readonly visits: readonly FoundVisit[]
  /** Whether the whole shop was searched. */
  readonly isWhole: boolean
}

/** Fewer letters fit too much. */
const leastLetters = 3
const restMs = 250

const mostFound = 40

/** The same among the visits that this device has. */
function foundHere({ visits, logs }: AppState['visits'], words: string): readonly FoundVisit[] {
  const sought = wordsSought(words)
  return Object.values(visits)
    .flatMap(({ id, unit, startedAt }): readonly FoundVisit[] => {
      const line = lineFound(wordsOfVisit(logs[id] ?? []), sought)
      return line === null ? [] : [{ visit: id, unit, day: startedAt.slice(0, 10), words: line }]
    })
    .sort((a, b) => b.day.localeCompare(a.day))
    .slice(0, mostFound)
}

/** Visits in whose words what is sought stands: the shop’s by the server; with no signal those on this device. */
export function VisitsFound({ sought }: { readonly sought: string }) {
  const router = useRouter()
  const units = useAppSelector((state) => state.places.places?.units ?? [])
  const store = useStore<AppState>()
  const [found, setFound] = useState<Found>()
  const words = sought.trim()
  useEffect(() => {
    if (words.length < leastLetters) return undefined
    const timer = setTimeout(() => {
      request<{ visits: readonly FoundVisit[] }>('GET', `/search?words=${encodeURIComponent(words)}`).then(
        ({ visits }) => {
          setFound({ of: words, visits, isWhole: true })
        },
        () => {
          const { visits } = store.getState()
          setFound({ of: words, visits: foundHere(visits, words), isWhole: false })
        },
      )
    }, restMs)
    return () => {
      clearTimeout(timer)
    }
  }, [words, store])
  if (found?.of !== words || found.visits.length === 0) return null
  return (
    <View>
      <Words size="lead" strong role="heading" aria-level={2}>
        In the words of visits
      </Words>
      {found.isWhole ? null : (
        <Words size="small" quiet>
          No signal: only visits that are on this device.
        </Words>
      )}
      {found.visits.map(({ visit, unit, day, words: said }, k) => (
        <Row
          key={`${visit} ${k}`}
          title={`${units.find(({ id }) => id === unit)?.label ?? 'A unit'}, ${day}`}
          below={said}
          onPress={() => {
            router.navigate(`/visits/${visit}/report`)
          }}
        />
      ))}
    </View>
  )
}
