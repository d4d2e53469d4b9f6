import type { BenchList, ListStep } from './checkList'

const steps: readonly ListStep[] = [
  {
    id: 'why',
    does: 'The contact of the board that failed, and why it did',
    should: 'Its load measured, and within what the new relay bears.',
    wrong: 'The next relay burns as well.',
  },
  {
    id: 'rating',
    does: 'Contact rating for this load: motor amps, or heater amps at these volts',
    should: 'Above the plate, for that sort of load.',
    wrong: 'Too small.',
  },
  {
    id: 'coil',
    does: 'Its coil against the control transformer, inrush counted in',
    should: 'Hold within the VA that is left; inrush does not drop the others.',
    wrong: 'The transformer sags at each start.',
  },
  {
    id: 'guards',
    does: 'Every limit and guard stays in series with what it guarded',
    should: 'As before, and shown on the drawing.',
    wrong: 'A guard is passed by: not to be left so.',
  },
  {
    id: 'lost',
    does: 'What the board did besides: fan-off delay, interlock, codes',
    should: 'Said to the owner; the heat without a fan-off delay is watched on its limit.',
    wrong: 'Nobody knows what is lost.',
  },
  {
    id: 'proof',
    does: 'Every call, and off',
    should: 'Load in and out with the call; nothing else moves.',
    wrong: 'It feeds something else as well: compare leads.',
  },
  {
    id: 'drawn',
    does: 'Drawn in, with its lead list',
    should: 'On the unit’s drawing as left.',
    wrong: 'The next one looks for a board that no longer does it.',
  },
]

export const externalRelay: BenchList = {
  id: 'external-relay',
  title: 'External relay for a board’s relay',
  group: 'As found and planned',
  use: 'A relay on a board has failed and a separate one takes its place: what must be so.',
  source: 'The unit’s own diagram; the plan of what changes solves it before a wire is moved',
  caution: 'Isolated and proven dead while it is wired.',
  parts: () => [],
  steps: () => steps,
}
