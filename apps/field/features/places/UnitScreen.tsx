import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Heading } from '../../ui/Heading'
import { Press } from '../../ui/Press'
import { Row } from '../../ui/Row'
import { Screen } from '../../ui/Screen'
import { space } from '../../ui/theme'
import { Words } from '../../ui/Words'
import { Glance } from '../record/Glance'
import { useGlance } from '../record/useGlance'
import { useAppSelector } from '../store'
import { usePrepared } from '../../workers/diagnosis'

/** A unit's record: what it is, where, what was done, and the way into a visit. */
export function UnitScreen({ id }: { readonly id: string }) {
  const router = useRouter()
  const { places, board } = useAppSelector((state) => state.places)
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
        <View style={{ padding: space.medium, gap: space.small }}>
          {open ? (
            <Press
              kind="main"
              title="Go on with the open call"
              onPress={() => {
                router.navigate(`/visits/${open.visit}`)
              }}
            />
          ) : null}
          <Press
            kind={open ? 'side' : 'main'}
            title="Take a call on this unit"
            onPress={() => {
              router.navigate(`/units/${id}/call`)
            }}
          />
        </View>
      }
    >
      <View>
        <Words size="lead">{diagram?.title ?? unit.diagram}</Words>
        <Words quiet>{unit.place}</Words>
        <Words quiet>{`${unit.make}, serial ${unit.serial}, installed ${unit.installed}`}</Words>
        <Words quiet>{`${site.address}. ${site.access}`}</Words>
      </View>
      {glance ? <Glance glance={glance} /> : null}
      <View>
        <Words strong quiet role="heading" aria-level={2}>
          Visits
        </Words>
        {past.length === 0 ? <Words quiet>None yet.</Words> : null}
        {past.map((item) => (
          <Row
            key={item.visit}
            title={new Date(item.startedAt).toLocaleDateString('en-GB', {
              day: 'numeric',
              month: 'long',
              year: 'numeric',
            })}
            below={[item.words, item.outcome].filter(Boolean).join(' · ')}
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
