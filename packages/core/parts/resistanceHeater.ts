import type { CauseGroup } from './causeGroup'
import { complex } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed } from './contact'
import { toFrame } from './frame'
import { grounds, hasOhms, opens } from './fault'
import type { PartKind } from './kind'
import { forLineVolts } from './lineVolts'

/** A resistance heater: `watts` at `volts`; it takes watts × (volts / rated volts)². */
export const resistanceHeater = (
  kind: string,
  words: string,
  cause: CauseGroup,
  watts: number,
): PartKind => ({
  kind,
  words,
  cause,
  symbol: 'heater',
  likelier: ['cold-weather'],
  // an element fewer than drawn is a fault of its own here
  drawn: { mean: 0, spread: 0.06 },
  bearsVolts: (s) => s.number('volts'),
  ratings: [
    ['watts', 'Watts'],
    ['volts', 'Volts'],
  ],
  settings: { watts, volts: 240 },
  madeFor: forLineVolts,
  terminals: () => [
    { name: '1', words: `${words}, in` },
    { name: '2', words: `${words}, out` },
  ],
  branches: (s) => {
    const ohms = s.number('volts') ** 2 / s.number('watts')
    return [fixed('element', '1', '2', 'load', impedance(complex(ohms), ohms)), toFrame('1')]
  },
  faults: (s) => [
    opens('element', `${words} open`, 1.5, { prove: 'ohms across it, isolated', shows: ['broken'] }),
    hasOhms(
      'element-part',
      'element',
      (2 * s.number('volts') ** 2) / s.number('watts'),
      `${words}: one of two in it open`,
      0.5,
      { class: 'open', prove: 'amps against watts at the measured volts; ohms of each element, isolated' },
    ),
    grounds('1', `${words} touches its frame`, 0.4, { breaksDown: true }),
  ],
})
