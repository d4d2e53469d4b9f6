import { contact } from './contact'
import { becomes, opens, sticks } from './fault'
import type { PartKind } from './kind'
import { fusePosition } from './overcurrent'
import { legToLegPairs, poleNumbers, poleTerminals } from './poles'

/** A circuit breaker, one to three poles that trip together; also the resettable one of a control circuit. */
export const breaker: PartKind = {
  kind: 'breaker',
  words: 'breaker',
  symbol: 'switch',
  settings: { poles: 2, amps: 60 },
  terminals: (s) => poleTerminals(s.number('poles')),
  branches: (s) => poleNumbers(s.number('poles')).map((pole) => contact(`pole${pole}`, `L${pole}`, `T${pole}`, 'closed', 0.001)),
  slow: true,
  senses: (s) => ({ amps: poleNumbers(s.number('poles')).map((pole) => `pole${pole}`) }),
  behave: (now) => {
    const poles = poleNumbers(now.settings.number('poles')).map((pole) => `pole${pole}`)
    const tripped = poles.some((pole) => fusePosition(now, pole) === 'open')
    return Object.fromEntries(poles.map((pole) => [pole, tripped ? 'open' : 'closed']))
  },
  faults: (s) => [
    sticks('off', poleNumbers(s.number('poles')).map((pole) => `pole${pole}`), 'open', 'breaker off', 2.5, {
      cause: 'somebody switched it off: find out who and why', prove: 'look at the handle',
    }),
    sticks('tripped', poleNumbers(s.number('poles')).map((pole) => `pole${pole}`), 'open', 'breaker tripped', 2, {
      cause: 'a short or an overload behind it', prove: 'look at the handle; find the short before it is reset',
    }),
    ...poleNumbers(s.number('poles')).flatMap((pole) => [
      opens(`pole${pole}`, `breaker pole ${pole} does not make`, 0.5),
      becomes(`pole${pole}-burnt`, `pole${pole}`, 1, `breaker pole ${pole} or its stab burnt`, 0.6),
    ]),
  ],
  pairs: (s) => legToLegPairs(s.number('poles')),
  looks: (now) => [now.is.pole1 === 'open' ? 'off' : 'on'],
}
