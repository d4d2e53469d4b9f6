import { contact, position } from './contact'
import { makesBadly, opens, sticks } from './fault'
import type { PartKind } from './kind'

/** Its positions, and the lead that each of them feeds. */
const speeds = [
  { at: 'high', terminal: 'HI' },
  { at: 'medium', terminal: 'MED' },
  { at: 'low', terminal: 'LO' },
] as const

/** A hand switch in the line of a fan of three speeds: `COM` to one of `HI`, `MED` and `LO`, or to none. */
export const speedSwitch: PartKind = {
  kind: 'speed-switch',
  words: 'fan speed switch',
  cause: 'thermostat',
  symbol: 'switch',
  throws: () => speeds.map(({ at }) => [at]),
  lookWords: () => ['on', 'off'],
  dials: {
    at: {
      words: 'fan speed',
      unit: '',
      ofUser: true,
      choices: [
        { id: 'high', words: 'high' },
        { id: 'medium', words: 'medium' },
        { id: 'low', words: 'low' },
        { id: 'off', words: 'off' },
      ],
    },
  },
  settings: { at: 'high' },
  terminals: () => [
    { name: 'COM', words: 'fed' },
    ...speeds.map(({ at, terminal }) => ({ name: terminal, words: `${at} speed` })),
  ],
  branches: () => speeds.map(({ at, terminal }) => contact(at, 'COM', terminal, 'open')),
  behave: ({ settings }) =>
    Object.fromEntries(speeds.map(({ at }) => [at, position(settings.text('at') === at)])),
  faults: (s) => [
    sticks('off', ['high', 'medium', 'low'], 'open', 'fan speed switch off', 2, {
      class: 'off',
      cause: 'somebody switched it off: find out why before switching on',
      prove: 'look at the switch',
    }),
    ...speeds.map(({ at }) =>
      opens(at, `${at}-speed contact does not make`, s.text('at') === at ? 1 : 0.2, {
        cause: 'worn or burnt',
        prove: 'volts across it while the fan is called, or another speed',
      }),
    ),
    ...speeds
      .filter(({ at }) => at === s.text('at'))
      .map(({ at }) =>
        makesBadly(`${at}-burnt`, at, 2, `${at}-speed contact burnt, drops volts under load`, 0.3),
      ),
    sticks('two-at-once', ['high', 'medium'], 'closed', 'contacts of two speeds closed together', 0.2, {
      cause: 'a broken cam; the turns between the two speeds burn',
      prove: 'ohms between its speeds, power off and the leads of one lifted',
    }),
  ],
  pairs: () => speeds.map(({ terminal }) => ['COM', terminal] as const),
  looks: ({ is }) => [speeds.some(({ at }) => is[at] === 'closed') ? 'on' : 'off'],
}
