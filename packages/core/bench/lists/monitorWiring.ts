import type { Diagram } from '../../diagram/diagram'
import { branchEnds } from '../unitPlaces'
import type { BenchList, ListStep } from './checkList'
import { landingSteps } from './landings'

const closedBelow = 1

const anyMonitor: readonly ListStep[] = [
  {
    id: 'nominal',
    does: 'Nominal, window, unbalance, delay and reset as the maker and the unit say',
    should: 'Nominal as measured here, and as on the unit’s plate.',
    wrong: 'Set for another supply: it trips for nothing, or never.',
  },
  {
    id: 'order',
    does: 'Isolated: turn two of its legs, power on for a moment',
    should: 'Its lamp says order, and nothing starts; then put them back.',
    wrong: 'It does not watch the order of the legs.',
    caution: 'Isolate, lock and prove dead before a leg is moved, and again before it is put back.',
  },
  {
    id: 'leg',
    does: 'Isolated: take one of its legs off, power on for a moment',
    should: 'It drops out after its delay; then put it back.',
    wrong: 'It does not see a lost leg: motors burn behind it.',
    caution: 'Isolate, lock and prove dead before a leg is moved, and again before it is put back.',
  },
]

function contactReading(diagram: Diagram, id: string): readonly ListStep[] {
  const part = diagram.parts.get(id)
  const contact = part && branchEnds(part, ({ name }) => name === 'contact')
  return contact
    ? [
        {
          id: 'contact',
          does: 'Legs right: volts across its contact',
          should: 'Next to nothing: it is closed.',
          wrong: 'It stands open with the legs right, or is wired to its resting contact.',
          reading: { meter: 'volts', ...contact, least: 0, most: closedBelow },
        },
      ]
    : []
}

/** A monitor that has the load side of a contactor on it too sees what the line side alone cannot show. */
function loadSide(diagram: Diagram, id: string): readonly ListStep[] {
  const part = diagram.parts.get(id)
  const ends = part?.kind.terminals(part.settings).map(({ name }) => name) ?? []
  return ends.includes('L1') && ends.includes('T1')
    ? [
        {
          id: 'stuck-pole',
          does: 'Call off: volts leg to leg, and each to ground, at its load terminals',
          should: 'Dead: the contactor in front of them has let go on every pole.',
          wrong:
            'A pole is stuck: the monitor sees the load live with no call, and its lamp says so. The motor stands on one leg or two.',
          caution: 'Line voltage. A motor that is fed on two legs burns: isolate.',
        },
        {
          id: 'open-pole',
          does: 'Call on: each load leg against its line leg, while it holds',
          should: 'As many volts as on the line side; the lamp of a good load.',
          wrong:
            'A pole does not pass its leg: it sees the leg lost behind the contactor, where the line side is right.',
        },
      ]
    : []
}

export const monitorWiring: BenchList = {
  id: 'monitor-wiring',
  title: 'Phase monitor: wiring, setting and proof',
  group: 'Commissioning',
  use: 'A phase monitor was fitted or changed: does it watch all three legs, and stop the unit?',
  source: 'The unit’s own diagram; the monitor’s book for its settings and lamps',
  caution: 'Line voltage at its legs. It is never joined across.',
  parts: ({ parts }) => [...parts.values()].filter(({ kind }) => kind.cause === 'phase').map(({ id }) => id),
  steps: (diagram, part) =>
    diagram && part
      ? [
          ...landingSteps(diagram, part),
          ...contactReading(diagram, part),
          ...anyMonitor,
          ...loadSide(diagram, part),
        ]
      : anyMonitor,
}
