import type { CauseGroup } from './causeGroup'
import { contact, position } from './contact'
import { makesBadly, opens } from './fault'
import type { Condition, Now, PartFault, PartKind, PartSymbol, Phase, TestBridge } from './kind'
import type { Settings } from './settings'
import { touchEffects, untouched, temperatureFelt } from './touch'

/** What a protective switch watches: it opens past `opensAt` and closes again past `closesAt`. */
interface Watch {
  /** The condition; another one of the same sort is a setting of the part. */
  readonly reads: Condition
  readonly opensAt: number
  readonly closesAt: number
  /** A hand can warm or cool it. */
  readonly byHand?: true
  /**
   * It differs from place to place: what is measured where one of several such switches sits says nothing
   * of where the others do, so none answers to it.
   */
  readonly isLocal?: true
}

interface Words {
  readonly kind: string
  readonly cause: CauseGroup
  readonly words: string
  readonly symbol: PartSymbol
  readonly testBridge: TestBridge
  /** It keeps people or the unit safe: nobody leaves a unit running around it. */
  readonly guard?: true
  readonly breaksLine?: true
  readonly opensDuring?: PartKind['opensDuring']
  /** What must be known before power goes back on behind a trip of it, where that is its own. */
  readonly afterTrip?: string
  readonly likelier?: PartKind['likelier']
  /**
   * In cooling it opens before long when the fan stands that its setting `follows` names, and the one that
   * `compressor` names turns; where none is named, when it carries what lets one run.
   */
  readonly needsFan?: true
  readonly openPrior: number
  readonly watch: Watch
  /** What opens it when nothing is wrong with the switch itself. */
  readonly trip: Omit<PartFault, 'name' | 'class' | 'effects' | 'unless' | 'when'>
}

/** Whether what it watches lets it be closed; nothing measured is nothing wrong. */
function isClosed(now: Now, { byHand, isLocal }: Pick<Watch, 'byHand' | 'isLocal'>): boolean {
  if (isLocal) return true
  const { settings, conditions } = now
  const value =
    byHand === true && settings.text('touch') !== 'none'
      ? temperatureFelt(now, NaN)
      : conditions[settings.text('reads')]
  if (value === undefined) return true
  const opensAt = settings.number('opensAt')
  const closesAt = settings.number('closesAt')
  const turningPoint = now.is.contact === 'closed' ? opensAt : closesAt
  return opensAt < closesAt ? value > turningPoint : value < turningPoint
}

/** From this current on a switch lets its load run. */
const carryingAmps = 0.02
/**
 * Without its fan what it watches climbs in minutes; then it opens, and closes when that has come down. How
 * often it is met open is for the diagnosis to follow, from one reading to the next.
 */
const openedByHeat: Phase = { states: { contact: 'open' }, weight: 0.4, recurs: true }

/** Whether its compressor runs in cooling while the fan that it follows stands. */
const lacksFan = ({ call, followed, compressor, amps }: Now): boolean =>
  followed === 'still' &&
  (call === 'cool1' || call === 'cool2') &&
  (compressor === '' ? amps.contact.size > carryingAmps : compressor === 'turning')

/** What opens a switch that watches a water pipe. */
const waterCause = 'water too hot or standing: boiler, mixing valve, pump, air in the line'

/** A normally closed protective switch in a control string: terminals `1` (in) and `2` (out). */
export const protectiveSwitch = ({
  kind,
  words,
  symbol,
  testBridge,
  openPrior,
  watch,
  trip,
  afterTrip,
  opensDuring,
  needsFan,
  ...facts
}: Words): PartKind => ({
  kind,
  words,
  symbol,
  ...facts,
  ...(opensDuring ? { opensDuring } : {}),
  settings: {
    reads: watch.reads,
    opensAt: watch.opensAt,
    closesAt: watch.closesAt,
    ...untouched,
    ...(needsFan ? { follows: '', compressor: '' } : {}),
  },
  terminals: () => [
    { name: '1', words: `${words}, in` },
    { name: '2', words: `${words}, out` },
  ],
  branches: () => [contact('contact', '1', '2', 'closed')],
  behave: (now) => ({ contact: position(isClosed(now, watch)) }),
  ...(needsFan
    ? {
        senses: (s: Settings) =>
          s.text('follows') === '' ? {} : { amps: ['contact'], steps: { contact: [carryingAmps] } },
        phases: (now: Now) => (lacksFan(now) ? [openedByHeat] : []),
      }
    : {}),
  faults: (s) => [
    opens('contact', `${words} itself open`, openPrior),
    makesBadly('contact-high', 'contact', 120, `${words} makes badly`, 0.1),
    {
      name: 'bridged',
      class: 'joined',
      words: `${words} bridged by somebody`,
      prior: 0.05,
      effects: [{ does: 'hold', branch: 'contact', state: 'closed' }],
    },
    {
      ...trip,
      ...(s.text('reads') === 'pipe' ? { cause: waterCause } : {}),
      name: 'tripped',
      class: 'trip',
      effects: [
        { does: 'hold', branch: 'contact', state: 'open', ...(opensDuring ? { during: opensDuring } : {}) },
      ],
      // it is not held open where what it watches has come back
      ...(watch.opensAt < watch.closesAt
        ? {
            when: { of: s.text('reads'), below: s.number('opensAt') },
            unless: { of: s.text('reads'), above: s.number('closesAt') },
          }
        : {
            when: { of: s.text('reads'), above: s.number('opensAt') },
            unless: { of: s.text('reads'), below: s.number('closesAt') },
          }),
    },
  ],
  ...(watch.byHand ? { touched: touchEffects } : {}),
  ...(trip.clears?.includes('reset')
    ? { looks: (now: Now) => [now.is.contact === 'open' ? 'tripped' : 'set'] }
    : {}),
  testBridge,
  beforeEnergising: (fault) =>
    fault === 'trip'
      ? (afterTrip ?? 'Find why it opened: air, filter, charge, coil, a lost leg. Reset once.')
      : '',
})
