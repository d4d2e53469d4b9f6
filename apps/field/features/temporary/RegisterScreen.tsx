import { useRouter } from 'expo-router'
import { useEffect, useState } from 'react'
import { StyleSheet, View } from 'react-native'
import type { OpenMeasure, Register } from '@jokulgale/contract/register'
import { daysLeft } from '@jokulgale/core/visit/temporary'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { space, usePalette } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { useMayEdit } from '../places/useMayEdit'
import { request } from '../sync/request'
import { CalendarDays } from './CalendarDays'

const styles = StyleSheet.create({
  measure: { borderBottomWidth: 1, paddingBottom: space.medium, gap: space.hair },
})

/** All temporary measures of the shop that are still on, with the days that are left. */
export function RegisterScreen() {
  const [measures, setMeasures] = useState<readonly OpenMeasure[] | null>(null)
  const [problem, setProblem] = useState('')
  const mayEdit = useMayEdit()
  useEffect(() => {
    request<Register>('GET', '/temporary').then(
      ({ measures: found }) => {
        setMeasures(found)
      },
      (error: unknown) => {
        setProblem(error instanceof Error ? error.message : String(error))
      },
    )
  }, [])
  return (
    <Screen
      head={
        <Heading
          title="Temporary measures"
          below="Still on, anywhere in the shop"
          back="/"
          right={
            <Press
              kind="quiet"
              title="Calendar"
              label="Reminders as a calendar file"
              onPress={() => {
                window.location.assign('/api/temporary.ics')
              }}
            />
          }
        />
      }
    >
      {problem ? <Notice kind="caution">{problem}</Notice> : null}
      {measures === null && problem === '' ? <Words quiet>Looking …</Words> : null}
      {measures?.length === 0 ? (
        <Words quiet>
          Nothing is bridged, bypassed or restricted anywhere. What a visit leaves in place shows here, with
          the days it may stay.
        </Words>
      ) : null}
      {measures?.map((measure) => (
        <MeasureLine key={measure.id} measure={measure} />
      ))}
      {measures?.some(({ left }) => left !== null) && mayEdit ? (
        <CalendarDays
          measures={measures}
          onKept={(said) => {
            setMeasures(measures.map((each) => ({ ...each, left: said.get(each.id) ?? each.left })))
          }}
        />
      ) : null}
    </Screen>
  )
}

function MeasureLine({ measure }: { readonly measure: OpenMeasure }) {
  const palette = usePalette()
  const router = useRouter()
  const [now] = useState(() => Date.now())
  const days = measure.left ? daysLeft(measure.left.expires, now) : null
  const due = days === null ? 'no end date' : days < 0 ? `${-days} d over` : `${days} d left`
  const bad = days === null || days < 0 || measure.unsafe
  return (
    <View style={[styles.measure, { borderColor: palette.line }]}>
      <Line align="baseline" gap="small">
        <Words size="lead" strong grows>{`${measure.unit.label}, ${measure.site.name}`}</Words>
        <Words strong tabular color={bad ? palette.wrong : palette.text}>
          {due}
        </Words>
      </Line>
      <Words>{measure.words}</Words>
      {measure.unsafe ? (
        <Notice kind="wrong">A safety control is out of its circuit: the unit is to stay off.</Notice>
      ) : null}
      {measure.left ? (
        <Words
          size="small"
          quiet
        >{`${measure.left.hazard}. ${measure.left.reason}. Authorised by ${measure.left.authorisedBy}; told: ${measure.left.told}`}</Words>
      ) : (
        <Words size="small" quiet>
          Nobody has said why and until when.
        </Words>
      )}
      <Line gap="small">
        <Press
          title="Open the visit"
          label={`${measure.unit.label}: open the visit`}
          onPress={() => {
            router.navigate(`/visits/${measure.visit}`)
          }}
        />
        <Press
          title="Print a tag"
          label={`${measure.unit.label}: print a tag`}
          onPress={() => {
            router.navigate(`/temporary/${measure.id}`)
          }}
        />
      </Line>
    </View>
  )
}
