import { contact } from './contact'
import { makesBadly, opens, sticks } from './fault'
import type { PartKind } from './kind'
import { legToLegPairs, poleNumbers, poleTerminals } from './poles'

/** A disconnect switch or pull-out, by pole. */
export const disconnect: PartKind = {
  kind: 'disconnect',
  words: 'disconnect',
  cause: 'disconnect',
  symbol: 'switch',
  firstLook: { words: 'Disconnect on, breaker neither off nor tripped', right: 'on', wrong: 'off' },
  breaksLine: true,
  lookWords: () => ['on', 'off'],
  settings: { poles: 3 },
  terminals: (s) => poleTerminals(s.number('poles')),
  branches: (s) =>
    poleNumbers(s.number('poles')).map((pole) =>
      contact(`pole${pole}`, `L${pole}`, `T${pole}`, 'closed', 0.001),
    ),
  faults: (s) => [
    sticks(
      'off',
      poleNumbers(s.number('poles')).map((pole) => `pole${pole}`),
      'open',
      'disconnect off',
      3,
      {
        class: 'off',
        cause: 'somebody switched it off: find out who and why before switching on',
        prove: 'look at the handle',
      },
    ),
    ...poleNumbers(s.number('poles')).flatMap((pole) => [
      opens(`pole${pole}`, `blade of pole ${pole} does not make`, 1.5, {
        class: 'loose',
        cause: 'loose or burnt blade',
        shows: ['burnt'],
      }),
      makesBadly(
        `pole${pole}-burnt`,
        `pole${pole}`,
        1.2,
        `blade of pole ${pole} burnt, drops volts under load`,
        1.5,
        { cause: 'loose blade, heat', shows: ['burnt'] },
      ),
    ]),
  ],
  pairs: (s) => legToLegPairs(s.number('poles')),
  looks: (now) => [now.is.pole1 === 'open' ? 'off' : 'on'],
}
