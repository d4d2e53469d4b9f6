import { View } from 'react-native'
import type { PlaceKind } from '@jokulgale/core/places/placeEdit'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { useAppSelector } from '../store'
import { useSync } from '../sync/SyncContext'

interface OtherValuesProps {
  readonly of: PlaceKind
  readonly place: string
  /** What shows now, by field. */
  readonly values: Readonly<Record<string, string>>
}

/** What somebody else made of a field at the same time: kept, and offered. */
export function OtherValues({ of, place, values }: OtherValuesProps) {
  const sync = useSync()
  const others = useAppSelector((state) => state.places.places?.others ?? [])
  return (
    <>
      {others
        .filter((other) => other.place === place && values[other.field] !== undefined)
        .map(({ field, value }) => {
          const settle = (to: string): void => {
            void sync.editPlace(of, place, [{ field, from: values[field], to }])
          }
          return (
            <View key={field}>
              <Notice kind="caution">{`Two people wrote the ${field} at the same time: “${values[field]}” and “${value}”.`}</Notice>
              <Press
                title={`Keep “${values[field]}”`}
                onPress={() => {
                  settle(values[field])
                }}
              />
              <Press
                title={`Take “${value}”`}
                onPress={() => {
                  settle(value)
                }}
              />
            </View>
          )
        })}
    </>
  )
}
