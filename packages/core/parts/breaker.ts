import { contact, memory } from './contact'
import { openingSeconds } from '../physics/fuseTimes'
import { findTheShort } from './energising'
import { makesBadly, opens } from './fault'
import type { PartFault, PartKind } from './kind'
import { overcurrentMultiple, overcurrentPosition, overcurrentSenses } from './overcurrent'
import type { Settings } from './settings'
import { everyPoleOpen, legToLegPairs, poleNumbers, poleTerminals } from './poles'

const handleAt = (
  s: Settings,
  handle: 'off' | 'tripped',
  words: string,
  prior: number,
  detail: Partial<PartFault>,
): PartFault => ({
  ...detail,
  name: handle,
  class: handle === 'off' ? 'off' : 'trip',
  words,
  prior,
  effects: [{ does: 'hold', branch: 'handle', state: handle }, ...everyPoleOpen(s.number('poles'))],
})

const poleBranches = (s: Settings): readonly string[] =>
  poleNumbers(s.number('poles')).map((pole) => `pole${pole}`)

/** A circuit breaker, one to three poles that trip together; also the resettable one of a control circuit. */
export const breaker: PartKind = {
  kind: 'breaker',
  words: 'breaker',
  cause: 'disconnect',
  symbol: 'switch',
  breaksLine: true,
  ratings: [
    ['amps', 'Amps'],
    ['poles', 'Poles'],
  ],
  lookWords: () => ['on', 'off', 'tripped'],
  firstLook: { words: 'Breakers on, none tripped', right: 'on', wrong: ['off', 'tripped'] },
  beforeEnergising: (fault) => (fault === 'trip' ? findTheShort : ''),
  settings: { poles: 2, amps: 60 },
  terminals: (s) => poleTerminals(s.number('poles')),
  branches: (s) => [
    ...poleNumbers(s.number('poles')).map((pole) =>
      contact(`pole${pole}`, `L${pole}`, `T${pole}`, 'closed', 0.001),
    ),
    memory('handle', ['on', 'off', 'tripped'], 'on'),
  ],
  overcurrent: 'breaker',
  opensAs: () => 'breaker',
  senses: (s) => overcurrentSenses('breaker', poleBranches(s), s.number('amps')),
  late: {
    opens: poleBranches,
    wants: (now) => {
      const poles = poleBranches(now.settings)
      const tripped = poles.some((pole) => overcurrentPosition('breaker', now, pole) === 'open')
      return {
        ...Object.fromEntries(poles.map((pole) => [pole, tripped ? 'open' : 'closed'])),
        ...(tripped && now.is.handle === 'on' ? { handle: 'tripped' } : {}),
      }
    },
    actsAfter: (now) => openingSeconds('breaker', overcurrentMultiple(now)),
  },
  faults: (s) => [
    handleAt(s, 'off', 'breaker off', 2.5, {
      cause: 'somebody switched it off: find out who and why',
      prove: 'look at the handle',
    }),
    handleAt(s, 'tripped', 'breaker tripped', 2, {
      cause: 'a short or an overload behind it',
      prove: 'look at the handle; find the short before it is reset',
      clears: ['reset'],
    }),
    ...poleNumbers(s.number('poles')).flatMap((pole) => [
      opens(`pole${pole}`, `breaker pole ${pole} does not make`, 0.5),
      makesBadly(`pole${pole}-burnt`, `pole${pole}`, 1, `breaker pole ${pole} or its stab burnt`, 0.6, {
        shows: ['burnt'],
      }),
    ]),
  ],
  pairs: (s) => legToLegPairs(s.number('poles')),
  looks: (now) => [now.is.handle],
}
