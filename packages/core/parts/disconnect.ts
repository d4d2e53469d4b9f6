import { contact, memory } from './contact'
import { makesBadly, opens } from './fault'
import type { PartFault, PartKind } from './kind'
import type { Settings } from './settings'
import { everyPoleOpen, legToLegPairs, poleNumbers, poleTerminals } from './poles'

/** It stands as if it were on, and makes when it is pressed. */
const notHome = (s: Settings): PartFault => ({
  name: 'poles-not-home',
  class: 'loose',
  words: 'handle or pull-out not fully home: no pole makes',
  prior: 1,
  effects: everyPoleOpen(s.number('poles')),
  cause: 'not pushed home, or a worn mechanism',
  prove: 'volts across each pole, before anybody moves it',
})

/** A disconnect switch or pull-out, by pole. */
export const disconnect: PartKind = {
  kind: 'disconnect',
  words: 'disconnect',
  cause: 'disconnect',
  symbol: 'switch',
  firstLook: { words: 'Disconnect on', right: 'on', wrong: ['off'] },
  breaksLine: true,
  lookWords: () => ['on', 'off'],
  settings: { poles: 3 },
  terminals: (s) => poleTerminals(s.number('poles')),
  branches: (s) => [
    ...poleNumbers(s.number('poles')).map((pole) =>
      contact(`pole${pole}`, `L${pole}`, `T${pole}`, 'closed', 0.001),
    ),
    memory('handle', ['on', 'off'], 'on'),
  ],
  faults: (s) => [
    {
      name: 'off',
      class: 'off',
      words: 'disconnect off',
      prior: 3,
      effects: [{ does: 'hold', branch: 'handle', state: 'off' }, ...everyPoleOpen(s.number('poles'))],
      cause: 'somebody switched it off: find out who and why before switching on',
      prove: 'look at the handle',
    },
    ...(s.number('poles') > 1 ? [notHome(s)] : []),
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
  looks: (now) => [now.is.handle],
}
