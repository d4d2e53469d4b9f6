import { useEffect, useState } from 'react'
import { StyleSheet, View } from 'react-native'
import type { OpenMeasure, Register } from '@jokulgale/contract/register'
import { Heading } from '../../ui/Heading'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { request } from '../sync/request'

const styles = StyleSheet.create({
  tag: { borderWidth: 3, borderRadius: 12, padding: space.large, gap: space.small },
})

/** A tag to hang at the unit: what is on, why, until when, whose it is. */
export function TagScreen({ id }: { readonly id: string }) {
  const palette = usePalette()
  const [measure, setMeasure] = useState<OpenMeasure | null | undefined>(undefined)
  useEffect(() => {
    request<Register>('GET', '/temporary').then(
      ({ measures }) => {
        setMeasure(measures.find((candidate) => candidate.id === id) ?? null)
      },
      () => {
        setMeasure(null)
      },
    )
  }, [id])
  return (
    <Screen
      maxWidth={420}
      head={
        <Heading
          title="Tag"
          back="/temporary"
          right={
            <Press
              kind="quiet"
              title="Print"
              onPress={() => {
                window.print()
              }}
            />
          }
        />
      }
    >
      {measure === null ? <Words quiet>This measure is off, or there is no signal.</Words> : null}
      {measure ? (
        <View style={[styles.tag, { borderColor: palette.text }]}>
          <Words size="title" strong>
            DO NOT RELY ON THIS UNIT
          </Words>
          <Words size="lead" strong>{`${measure.unit.label}, ${measure.site.name}`}</Words>
          <Words size="lead">{measure.words}</Words>
          <Words>{`On since ${measure.since.slice(0, 10)}`}</Words>
          <Words strong>
            {measure.left ? `To come off by ${measure.left.expires}` : 'No end date was given'}
          </Words>
          {measure.left ? <Words>{`Hazard: ${measure.left.hazard}`}</Words> : null}
          {measure.left ? <Words>{`Reason: ${measure.left.reason}`}</Words> : null}
          {measure.left ? (
            <Words>{`Authorised by ${measure.left.authorisedBy}. Told: ${measure.left.told}`}</Words>
          ) : null}
        </View>
      ) : null}
    </Screen>
  )
}
