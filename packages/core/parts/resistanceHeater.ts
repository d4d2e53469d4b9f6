import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed } from './contact'
import { toFrame } from './frame'
import { grounds, opens } from './fault'
import type { PartKind, PartSymbol } from './kind'

/** A resistance heater: `watts` at `volts`; it takes watts × (volts / rated volts)². */
export const resistanceHeater = (
  kind: string,
  words: string,
  symbol: PartSymbol,
  watts: number,
): PartKind => ({
  kind,
  words,
  symbol,
  likelier: ['cold-weather'],
  ratings: [
    ['watts', 'Watts'],
    ['volts', 'Volts'],
  ],
  settings: { watts, volts: 240 },
  terminals: () => [
    { name: '1', words: `${words}, in` },
    { name: '2', words: `${words}, out` },
  ],
  branches: (s) => {
    const ohms = s.number('volts') ** 2 / s.number('watts')
    return [fixed('element', '1', '2', 'load', impedance(complex(ohms), ohms)), toFrame('1')]
  },
  faults: () => [
    opens('element', `${words} open`, 1.5, { prove: 'ohms across it, isolated' }),
    grounds('1', `${words} touches its frame`, 0.4),
  ],
})
