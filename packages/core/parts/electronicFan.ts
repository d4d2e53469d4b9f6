import { complex, impedanceFor } from '../electric/complex'
import { impedance } from '../electric/law'
import { fixed } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'
import { forLineVolts } from './lineVolts'

const calledAboveVolts = 14
/** Share of its rated volts that it needs to run. */
const fedShare = 0.7

/** An electronically commutated fan: line power all the time at `L`–`N`, a 24 V run call at `G`–`C`. */
export const electronicFan: PartKind = {
  kind: 'electronic-fan',
  words: 'electronic fan motor',
  cause: 'fan-motor',
  symbol: 'motor',
  settings: { volts: 208, amps: 3 },
  madeFor: forLineVolts,
  moving: 'drive',
  terminals: () => [
    { name: 'L', words: 'line' },
    { name: 'N', words: 'line, other leg' },
    { name: 'G', words: 'run call' },
    { name: 'C', words: 'common' },
  ],
  branches: (s) => [
    {
      name: 'drive',
      from: 'L',
      to: 'N',
      role: 'load',
      rest: 'still',
      states: {
        running: impedance(impedanceFor(s.number('volts'), s.number('amps'), 0.75), 400_000),
        still: impedance(complex(9000), 400_000),
      },
    },
    fixed('input', 'G', 'C', 'load', impedance(complex(1200), 1200)),
  ],
  senses: (s) => ({
    volts: ['drive', 'input'],
    steps: { drive: [fedShare * s.number('volts')], input: [calledAboveVolts] },
  }),
  behave: (now) => ({
    drive:
      now.volts.drive.size > fedShare * now.settings.number('volts') &&
      now.volts.input.size > calledAboveVolts
        ? 'running'
        : 'still',
  }),
  faults: () => [
    sticks('dead', ['drive'], 'still', 'fan motor does not run with line and call present', 2, {
      cause: 'its electronics; water',
    }),
    opens('drive', 'fan motor’s line input open', 0.8),
    opens('input', 'fan motor’s call input dead', 0.8),
    sticks('runs-on', ['drive'], 'running', 'fan motor runs without a call', 0.4),
  ],
  looks: (now) => [
    now.is.drive === 'running' && now.volts.drive.size > 0.5 * now.settings.number('volts')
      ? 'turning'
      : 'still',
  ],
}
