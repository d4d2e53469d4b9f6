import type { Diagram } from '../../diagram/diagram'
import { branchEnds } from '../unitPlaces'
import type { BenchList, ListStep } from './checkList'
import { landingSteps } from './landings'

/**
 * Direct volts across a sensor that is there and neither open nor shorted, on the inputs of these
 * controllers.
 */
const alive = { least: 0.4, most: 9 } as const

const anySensor: readonly ListStep[] = [
  {
    id: 'kind',
    does: 'The sensor is of the kind that the input expects: thermistor, current, volts',
    should: 'The same on its label and in the controller’s book.',
    wrong: 'A sensor of another kind reads plausible and wrong.',
  },
  {
    id: 'place',
    does: 'It sits in its own stream of air, out of the sun and of the other stream',
    should: 'Return in return air, outdoor behind the hood, mixed after both.',
    wrong: 'It feels another air than it is wired as.',
  },
  {
    id: 'method',
    does: 'The changeover method of the controller is the one these sensors serve',
    should: 'Differential only with both sensors of a pair.',
    wrong: 'The controller compares with a sensor that is not there.',
  },
]

function sensorReading(diagram: Diagram, id: string): readonly ListStep[] {
  const part = diagram.parts.get(id)
  const element = part && branchEnds(part, ({ role }) => role === 'sensor')
  return element
    ? [
        {
          id: 'alive',
          does: 'Direct volts across the sensor, connected',
          should: `Between ${alive.least} and ${alive.most} V: there, the right way round.`,
          wrong: 'Open, shorted, or plus and minus crossed.',
          reading: { meter: 'dc', ...element, ...alive },
        },
      ]
    : []
}

export const sensorWiring: BenchList = {
  id: 'sensor-wiring',
  title: 'Economizer sensors: wiring and proof',
  group: 'Commissioning',
  use: 'Comparative or mixed-air sensors were added or changed: each lead, its polarity, what it says.',
  source: 'The unit’s own diagram, lead by lead; the controller’s book for the kind of sensor',
  caution: 'Control power is on for the volts: no lead is moved with it on.',
  parts: ({ parts }) =>
    [...parts.values()]
      .filter((part) => branchEnds(part, ({ role }) => role === 'sensor'))
      .map(({ id }) => id),
  steps: (diagram, part) =>
    diagram && part
      ? [...anySensor, ...landingSteps(diagram, part), ...sensorReading(diagram, part)]
      : anySensor,
}
