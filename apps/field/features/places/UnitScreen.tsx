import { useRouter } from 'expo-router'
import { lazy, Suspense } from 'react'
import { View } from 'react-native'
import type { UnitRecord } from '@jokulgale/contract/places'
import { dayWords } from '../../ui/days'
import { Heading } from '../../ui/Heading'
import { Line } from '../../ui/Line'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Screen } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { Glance } from '../record/Glance'
import { outcomeLabel } from '../record/outcome'
import { useGlance } from '../record/useGlance'
import { useMayEdit } from './useMayEdit'
import { useAppSelector } from '../store'
import { usePrepared } from '../../workers/diagnosis'

/** Plots come with the record of a unit: no call waits for them. */
const History = lazy(() => import('../record/History'))

/** A unit's record: what it is, where, what was done, and the way into a visit. */
export function UnitScreen({ id }: { readonly id: string }) {
  const router = useRouter()
  const { places, board } = useAppSelector((state) => state.places)
  const mayEdit = useMayEdit()
  const glance = useGlance(id)
  const unit = places?.units.find((candidate) => candidate.id === id)
  const site = places?.sites.find((candidate) => candidate.id === unit?.site)
  const diagram = places?.diagrams.find((candidate) => candidate.id === unit?.diagram)
  usePrepared(diagram?.ladder)
  if (!unit || !site)
    return (
      <Screen head={<Heading title="Unit" back="/sites" />}>
        <Words>
          This unit is not known here. It may belong to another shop, or come with the next signal.
        </Words>
      </Screen>
    )
  const past = (board?.items ?? []).filter((item) => item.unit.id === id)
  const open = past.find(({ state }) => state !== 'closed')
  return (
    <Screen
      head={<Heading title={unit.label} below={site.name} back="/sites" />}
      foot={
        <Stack padding="medium" gap="small">
          {open ? (
            <Press
              kind="main"
              title="Go on with the open call"
              onPress={() => {
                router.navigate(`/visits/${open.visit}`)
              }}
            />
          ) : null}
          {mayEdit ? (
            <Press
              kind={open ? 'side' : 'main'}
              title="Take a call on this unit"
              onPress={() => {
                router.navigate(`/units/${id}/call`)
              }}
            />
          ) : null}
        </Stack>
      }
    >
      <View>
        <Words size="lead">{diagram?.title ?? unit.diagram}</Words>
        <Words quiet>{unit.place}</Words>
        <Words quiet>{plateWords(unit)}</Words>
        <Words quiet>{[site.address, site.access].filter(Boolean).join('. ')}</Words>
      </View>
      {mayEdit ? (
        <Line gap="small" wraps>
          <Press
            title="Its circuit"
            onPress={() => {
              router.navigate(`/units/${id}/circuit`)
            }}
          />
          <Press
            title="Edit"
            label={`Edit ${unit.label}`}
            onPress={() => {
              router.navigate(`/units/${id}/edit`)
            }}
          />
        </Line>
      ) : null}
      <Drawn unit={unit} />
      {glance ? <Glance glance={glance} /> : null}
      {glance?.history ? (
        <Suspense fallback={null}>
          <History history={glance.history} />
        </Suspense>
      ) : null}
      <View>
        <Words strong quiet role="heading" aria-level={2}>
          Visits
        </Words>
        {past.length === 0 ? <Words quiet>None yet.</Words> : null}
        {past.map((item) => (
          <Row
            key={item.visit}
            title={dayWords(item.startedAt)}
            below={[item.words, outcomeLabel(item.outcome)].filter(Boolean).join(' · ')}
            onPress={() => {
              router.navigate(
                item.state === 'closed' ? `/visits/${item.visit}/report` : `/visits/${item.visit}`,
              )
            }}
          />
        ))}
      </View>
    </Screen>
  )
}

/** Why its circuit is drawn as it is, and what is planned to become of it. */
function Drawn({ unit }: { readonly unit: UnitRecord }) {
  const router = useRouter()
  const diagrams = useAppSelector((state) => state.places.places?.diagrams ?? [])
  const why = diagrams.find(({ id }) => id === unit.diagram)?.why
  const plan = diagrams.find(({ id }) => id === unit.plan)
  return (
    <>
      {why ? <Notice kind="plain">{`Its circuit: ${why}`}</Notice> : null}
      {plan ? (
        <Row
          title={`Planned: ${plan.why || plan.title}`}
          below="What is moved, what it does, how it is proven"
          onPress={() => {
            router.navigate(`/units/${unit.id}/plan`)
          }}
        />
      ) : null}
    </>
  )
}

/** What its plate says, as far as anybody has put it down. */
const plateWords = ({ make, serial, installed }: UnitRecord): string =>
  [make, serial && `serial ${serial}`, installed && `installed ${installed}`].filter(Boolean).join(', ') ||
  'Nothing of its plate is put down yet.'
