import { useRouter } from 'expo-router'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import type { FoundVisit } from '@jokulgale/contract/records'
import { Row } from '../../ui/Row'
import { Words } from '../../ui/Words'
import { useAppSelector } from '../store'
import { request } from '../sync/request'

/** Fewer letters fit too much. */
const leastLetters = 3
const restMs = 250

/** Visits in whose words what is sought stands; looked up on the server, and left out with no signal. */
export function VisitsFound({ sought }: { readonly sought: string }) {
  const router = useRouter()
  const units = useAppSelector((state) => state.places.places?.units ?? [])
  const [found, setFound] = useState<{ readonly of: string; readonly visits: readonly FoundVisit[] }>()
  const words = sought.trim()
  useEffect(() => {
    if (words.length < leastLetters) return undefined
    const timer = setTimeout(() => {
      request<{ visits: readonly FoundVisit[] }>('GET', `/search?words=${encodeURIComponent(words)}`).then(
        ({ visits }) => {
          setFound({ of: words, visits })
        },
        () => undefined,
      )
    }, restMs)
    return () => {
      clearTimeout(timer)
    }
  }, [words])
  if (found?.of !== words || found.visits.length === 0) return null
  return (
    <View>
      <Words size="lead" strong role="heading" aria-level={2}>
        In the words of visits
      </Words>
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
