import type { Diagram } from '../../diagram/diagram'
import { branchEnds } from '../unitPlaces'
import type { BenchList, ListStep } from './checkList'

const closedBelow = 1

/** Floats of a unit: switches that water opens. */
const floats = ({ parts }: Diagram): readonly string[] =>
  [...parts.values()]
    .filter(({ kind }) => kind.cause === 'drain' && kind.symbol === 'switch')
    .map(({ id }) => id)

const looks: readonly ListStep[] = [
  {
    id: 'trap',
    does: 'Trap: there, primed, deep enough, its vent behind it',
    should: 'Water stands in it; it does not gurgle with the blower on.',
    wrong: 'A dry, missing or blocked trap holds the water back or blows it about.',
  },
  {
    id: 'pan',
    does: 'Pan: level, whole, no rust line above the outlet',
    should: 'Falls to its outlet.',
    wrong: 'It leaks or stands: water below is its water.',
  },
  {
    id: 'casing',
    does: 'Openings of the coil casing above the pan',
    should: 'Open: water over the coil reaches the pan.',
    wrong: 'Blocked: water runs over before it reaches the pan, and the float stays dry.',
  },
  {
    id: 'line',
    does: 'Line: falls all the way, no dip, open at its end',
    should: 'Blown or drawn through freely.',
    wrong: 'Blocked or sagging.',
  },
  {
    id: 'second',
    does: 'Second drain or second pan',
    should: 'There, open, and where somebody sees it drip.',
    wrong: 'The next blockage comes through the ceiling.',
  },
  {
    id: 'pump',
    does: 'Pump, where fitted: lift its float',
    should: 'It runs and empties; its check valve holds.',
    wrong: 'It does not pump.',
  },
]

function floatSteps(diagram: Diagram, id: string): readonly ListStep[] {
  const part = diagram.parts.get(id)
  const contact = part && branchEnds(part, ({ role, rest }) => role === 'contact' && rest === 'closed')
  if (!contact) return []
  return [
    {
      id: 'dry',
      does: 'Float switch, pan dry: volts across it in a cooling call',
      should: 'Next to nothing: it is closed.',
      wrong: 'Open in a dry pan: knocked, or dirt under the float.',
      reading: { meter: 'volts', ...contact, least: 0, most: closedBelow },
    },
    {
      id: 'alarm',
      does: 'Float lifted by hand',
      should: 'The cooling stops, and the alarm lead lights or calls what it should.',
      wrong: 'It does not stop on water: the next blockage floods.',
    },
  ]
}

const pouring: ListStep = {
  id: 'pour',
  does: 'Pour two pints over the coil, blower on',
  should: 'All of it comes out of the line, none anywhere else, and the float stays down.',
  wrong: 'It does not get away: what was cleaned was not it.',
}

export const waterPath: BenchList = {
  id: 'water-path',
  title: 'Water: where does it stop?',
  group: 'Fan coil',
  use: 'Water where it should not be: looks in order from coil to line, and proof by pouring.',
  source: 'The path of the water, from the coil down',
  caution: 'Water and live parts: isolate before a pan or a casing is opened.',
  parts: floats,
  steps: (diagram, part) => [...looks, ...(diagram && part ? floatSteps(diagram, part) : []), pouring],
}
