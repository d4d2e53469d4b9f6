import { View } from 'react-native'
import { complaintSaid } from '@jokulgale/core/visit/complaintSaid'
import { unitCautions } from '@jokulgale/core/visit/unitCautions'
import { Heading } from '../../ui/Heading'
import { Notice } from '../../ui/Notice'
import { Press } from '../../ui/Press'
import { Screen } from '../../ui/Screen'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { Glance } from '../record/Glance'
import { useGlance } from '../record/useGlance'
import { useBriefing } from './useBriefing'
import type { OpenVisit } from './useVisit'

const controlWords = {
  thermostat: 'Controlled by its thermostat',
  building: 'The building’s system makes the call',
  'energy-company': 'An energy-management company makes the call',
} as const

/** The call before one stands in front of the unit: what was said, where it is, what is known of it. */
export function Arrival({ visit }: { readonly visit: OpenVisit }) {
  const { state, diagram, unit, site } = visit
  const complaint = complaintSaid(diagram, state.complaint)
  const glance = useGlance(unit.id)
  // the circuit is solved while one reads, so that it is there when it is asked for
  useBriefing(visit, 'best')
  const { controls } = state
  return (
    <Screen
      head={<Heading title={unit.label} below={site.name} back="/" />}
      foot={
        <Stack padding="medium">
          <Press
            kind="main"
            title="I am here: start"
            onPress={() => {
              void visit.say({ kind: 'arrived' })
            }}
          />
        </Stack>
      }
    >
      <View>
        <Words size="title" strong>
          {complaint?.words ?? state.complaint}
        </Words>
        {state.complaintWords ? <Words size="lead">“{state.complaintWords}”</Words> : null}
      </View>
      {controls && controls.by !== 'thermostat' ? (
        <Notice kind="caution">{`${controlWords[controls.by]}${controls.telephone ? `, ${controls.telephone}` : ''}: ${controls.confirmed ? 'confirmed by telephone that it is calling' : 'ask them by telephone whether it is calling'}`}</Notice>
      ) : null}
      <View>
        <Words strong>{diagram.title}</Words>
        {[unit.place, site.address, site.access]
          .filter((words) => words !== '')
          .map((words) => (
            <Words key={words} quiet>
              {words}
            </Words>
          ))}
      </View>
      {glance ? (
        <Glance glance={glance} />
      ) : (
        <Words quiet>The unit’s record comes with the next signal.</Words>
      )}
      <Notice kind="caution">
        {[
          ...unitCautions(diagram),
          'If somebody has switched the unit off or hung a lock, find out who and why before anything else.',
        ].join(' ')}
      </Notice>
    </Screen>
  )
}
