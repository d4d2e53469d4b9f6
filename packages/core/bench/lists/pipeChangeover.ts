import type { Diagram } from '../../diagram/diagram'
import { valueWords, type DisplayUnits } from '../../physics/displayUnits'
import type { BenchList, ListStep } from './checkList'

const closedBelow = 2
/** Ohms of a contact that is made, isolated. */
const madeOhms = 3

function contactSteps(diagram: Diagram, id: string): readonly ListStep[] {
  const part = diagram.parts.get(id)
  if (!part) return []
  return part.kind
    .branches(part.settings, {})
    .filter(({ role }) => role === 'contact')
    .map(({ name, from, to, rest }): ListStep => ({
      id: `contact ${name}`,
      does: `Isolated, pipe cold: ohms ${from} to ${to}`,
      should: rest === 'closed' ? 'Made: next to nothing.' : 'Open: OL.',
      wrong: `On a cold pipe ${from} to ${to} should be ${rest === 'closed' ? 'made' : 'open'}: rusted in place, or other leads.`,
      reading: {
        meter: 'ohms',
        from: `${id}.${from}`,
        to: `${id}.${to}`,
        ...(rest === 'closed' ? { least: 0, most: madeOhms } : { least: 1000, most: Infinity }),
      },
    }))
}

/** Water below the first is of the cold season, above the second of the hot one, °F. */
const coldBelow = 60
const hotAbove = 90

const season = (units: DisplayUnits): ListStep => {
  const [cold, hot] = [coldBelow, hotAbove].map((at) => valueWords(at, '°F', units))
  return {
    id: 'season',
    does: 'What the building sends now, and the temperature of the pipe under the sensor',
    should: `Below about ${cold} cold, above about ${hot} hot; between them, wait.`,
    wrong: 'Water of neither season: ask who runs the plant before anything is blamed.',
  }
}

const anySensor: readonly ListStep[] = [
  {
    id: 'roles',
    does: 'Leads of a new sensor by meter, not by colour: which pair is made in the cold',
    should: 'Common is in both pairs; write old colours beside new ones.',
    wrong: 'Leads by colour put the heater on in the cooling season.',
  },
  {
    id: 'ice',
    does: 'Ice on the sensor, five minutes',
    should: `The cold pair makes (below ${closedBelow} V across it under a heat call), the hot pair opens.`,
    wrong: 'It does not change over in the cold: stuck.',
  },
  {
    id: 'warm',
    does: 'Warm hand or water on the sensor, five minutes',
    should: 'The hot pair makes, the cold pair opens.',
    wrong: 'It does not change over in the warmth: stuck.',
  },
  {
    id: 'stem',
    does: 'Call the valve, then take the call away: watch its stem',
    should: 'It opens, and it closes.',
    wrong: 'Its stem is stuck, or its actuator dead.',
  },
  {
    id: 'neither',
    does: 'Heat call in cold water, then a cool call',
    should: 'Heater amps and a shut valve; then an open valve and no heater.',
    wrong: 'Valve and heater fight: the changeover leads are crossed.',
  },
]

export const pipeChangeover: BenchList = {
  id: 'pipe-changeover',
  title: 'Fan coil: changeover by the pipe',
  group: 'Fan coil',
  use: 'Two pipes, one sensor: which contact must be made in this season, and does it change over?',
  source: 'The unit’s own diagram; a sensor by meter at a known temperature, never by its colours',
  caution: 'Controls may be at line voltage in a very small box: isolate and prove dead before ohms.',
  parts: ({ parts }) =>
    [...parts.values()]
      .filter(({ kind, settings }) => kind.settings.reads !== undefined && settings.text('reads') === 'pipe')
      .map(({ id }) => id),
  steps: (diagram, part, units) => [
    season(units),
    ...(diagram && part ? contactSteps(diagram, part) : []),
    ...anySensor,
  ],
}
