import { Circuit } from '../../circuit/circuit'
import { meterValue } from '../../circuit/meter'
import { situationOf } from '../../circuit/situation'
import type { Diagram } from '../../diagram/diagram'
import { callTerminals } from '../../diagram/roles'
import type { Effect } from '../../parts/effect'
import type { BenchList, ListStep } from './checkList'

/** A branch below this share of what its healthy loads make together is suspected of a short. */
const shortBelow = 0.5
const ohmsWords = (value: number | null): string =>
  value === null ? 'OL' : value >= 1000 ? `${(value / 1000).toFixed(1)} kΩ` : `${value.toFixed(1)} Ω`

/** Every fuse taken out. */
const fusesOut = ({ parts }: Diagram): readonly Effect[] =>
  [...parts.values()].flatMap(({ id, kind, settings }) =>
    kind
      .branches(settings, {})
      .filter(({ role }) => role === 'fuse')
      .map(({ name }): Effect => ({ does: 'open', branch: `${id}/${name}` })),
  )

/**
 * Ohms of each call terminal to common and to bare metal, against what this unit's healthy parallel paths
 * read together.
 */
function pairSteps(diagram: Diagram): readonly ListStep[] {
  const fuses = fusesOut(diagram)
  const { healthy } = new Circuit(diagram, situationOf(diagram, diagram.calls[0].id, 'off', {}, fuses))
  const isBonded = meterValue(healthy, 'ohms', diagram.common, 'EARTH') !== null
  const hot = diagram.hot === null ? [] : [diagram.hot]
  return [...new Set([...hot, ...callTerminals(diagram)])].flatMap((terminal) =>
    [diagram.common, ...(isBonded ? [] : ['EARTH'])].map((to): ListStep => {
      const expected = meterValue(healthy, 'ohms', terminal, to)
      const against = to === 'EARTH' ? 'bare metal' : 'common'
      // with its fuse out the hot side reads its loads; whether the fuse is out is not in the log
      const isEvidence = terminal !== diagram.hot || fuses.length === 0
      const reading = {
        meter: 'ohms',
        from: terminal,
        to,
        least: expected === null ? 100_000 : shortBelow * expected,
        most: Infinity,
      } as const
      return {
        id: `ohms ${terminal} ${to}`,
        does: `Isolated: ohms ${terminal} to ${against}`,
        should: `${ohmsWords(expected)}: what is connected there, in parallel.`,
        wrong: `${terminal} to ${against} reads far below its loads: the short is on this branch.`,
        ...(isEvidence ? { reading } : {}),
      }
    }),
  )
}

/** One section after another taken away: the low reading goes with the one that has the short. */
const sectionSteps = (diagram: Diagram): readonly ListStep[] =>
  [...diagram.parts.values()]
    .filter(({ kind }) => kind.pulledApart !== undefined)
    .map(({ id, words }): ListStep => ({
      id: `section ${id}`,
      does: `Pull ${words}, and read the low pair again`,
      should: 'As low as before: the short is not behind it.',
      wrong: `The low reading went away: the short is behind ${words}.`,
    }))

const before: readonly ListStep[] = [
  {
    id: 'fuse',
    does: 'Look at the fuse',
    should: 'Whole. A clean hole or silver: a dead short. A sagged link: an overload.',
    wrong: 'Blown: never just put in another.',
  },
]
const after: readonly ListStep[] = [
  {
    id: 'usual',
    does: 'Usual places: outdoor cable and hot pipe, blower housing edge, door posts, leads on copper, wet plugs',
    should: 'No chafe, no bare lead.',
    wrong: 'Chafed: tape, separate, secure; then read again.',
  },
  {
    id: 'wiggle',
    does: 'Move each bundle and watch the ohms, or listen to the tone of the pair',
    should: 'Nothing changes.',
    wrong: 'It changed there: the short is at that bundle or panel.',
  },
  {
    id: 'modes',
    does: 'Stand-in of its rating, clamp on the secondary: off, fan, cool, second stage, heat, defrost, float lifted',
    should: 'No call makes the amps leap.',
    wrong: 'The call in which the amps leap names the branch.',
  },
  {
    id: 'secure',
    does: 'None found: every suspicious place taped, separated, secured',
    should: 'Done, and a return check agreed.',
    wrong: 'It will be back.',
  },
  {
    id: 'back',
    does: 'Fuse of the drawing’s size back in, stand-in out',
    should: 'It holds in every call.',
    wrong: 'The stand-in is still in, or the fuse is of another size.',
  },
]

export const shortHunt: BenchList = {
  id: 'short-hunt',
  title: 'Low-voltage short: hunt it down',
  group: 'Transformer',
  use: 'The control fuse goes: pair by pair against what is healthy here, then section by section.',
  source: 'Ohms against what is connected in parallel by this unit’s own circuit, not against a fixed number',
  caution: 'Isolated and proven dead for every ohm. Transformer secondary off, or its fuse out.',
  parts: () => [],
  steps: (diagram) =>
    diagram ? [...before, ...pairSteps(diagram), ...sectionSteps(diagram), ...after] : [...before, ...after],
}
