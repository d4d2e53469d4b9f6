import { complex, impedanceFor, polar } from '../electric/complex'
import { alternatingSource, directSource, impedance, opened, resistance } from '../electric/law'
import { fixed, memory } from './contact'
import { misset, opens, sticks } from './fault'
import { toFrame } from './frame'
import type { Branch, Now, PartKind, Wants } from './kind'

const calledAboveVolts = 14
/** Share of nominal volts that each leg must have for the drive to work. */
const fedShare = 0.7
const legs = [0, -120, 120] as const
const outputs = ['output1', 'output2', 'output3'] as const
/** Times its rated amps that it gives for a moment; above, it locks itself out. */
const overcurrentShare = 2
/** Seconds that it bears them. */
const bearsSeconds = 0.1

/**
 * Direct volts of its bus over volts leg to leg: the mean of what it rectifies under load, its peak at rest.
 */
const busShare = 1.38
const busOhms = 0.5
/** Through its rectifier and the building's ground, from its output to ground; ohms. */
const groundOhms = 2
/** What lets the bus down when power is off, ohms. */
const bleedOhms = 30_000

/** How many of its legs have volts enough. */
const legsFed = ({ volts, settings }: Pick<Now, 'volts' | 'settings'>): number =>
  [volts.input1, volts.input2, volts.input3].filter(
    ({ size }) => size > (fedShare * settings.number('volts')) / Math.sqrt(3),
  ).length

/** Whether it can drive: all its legs and its bus are there. */
const isFed = (now: Pick<Now, 'volts' | 'settings' | 'is'>): boolean =>
  legsFed(now) === 3 && now.is.bus === 'charged'

/** Whether it is to run: by its run call, or by what was chosen at its keypad. */
const isCalled = ({ volts, settings }: Pick<Now, 'volts' | 'settings'>): boolean =>
  settings.text('keypad') === 'hand' ||
  (settings.text('keypad') === 'auto' && volts.run.size > calledAboveVolts)

/**
 * A variable-frequency drive: line at `L1`–`L3`, motor at `T1`–`T3`, a 24 V run call at `RUN`–`C`, its direct
 * bus at `BP`–`BN`. Its output is shown as the volts that a true meter would find; an ordinary meter misreads
 * it. The bus is charged by any two legs, and stays so for a while after power is off.
 */
export const drive: PartKind = {
  kind: 'drive',
  words: 'drive',
  cause: 'drive',
  symbol: 'control',
  storedSeconds: 300,
  storedBetween: ['BP', 'BN'],
  givenUp: {
    without: ['T1', 'T2', 'T3'],
    words: 'its soft start and its speeds: the motor starts across the line and runs at full speed',
  },
  // across the line: its output off the motor, its run call on the coil, whatever guards that call in series still
  passedBy: () => ({
    kind: 'contactor',
    words: 'Bypass contactor',
    moved: { T1: 'T1', T2: 'T2', T3: 'T3', RUN: 'A1', C: 'A2' },
    fed: { L1: 'L1', L2: 'L2', L3: 'L3' },
  }),
  lookWords: () => ['lamp-on', 'lamp-off'],
  settings: { volts: 480, amps: 7.6, output: 440, keypad: 'auto' },
  // its output stays a little below its line
  madeFor: { circuit: 'line', at: (volts) => ({ volts, output: Math.round((volts * 11) / 12) }) },
  dials: {
    keypad: {
      words: 'keypad',
      unit: '',
      choices: [
        { id: 'auto', words: 'auto, by its run call' },
        { id: 'hand', words: 'in hand' },
        { id: 'off', words: 'off' },
      ],
    },
  },
  moving: 'output1',
  terminals: () => [
    ...[1, 2, 3].map((n) => ({ name: `L${n}`, words: `drive line ${n}` })),
    ...[1, 2, 3].map((n) => ({ name: `T${n}`, words: `drive output ${n}` })),
    { name: 'RUN', words: 'run call' },
    { name: 'C', words: 'control common' },
    { name: 'BP', words: 'bus plus' },
    { name: 'BN', words: 'bus minus' },
  ],
  pairs: () => [['BP', 'BN']],
  branches: (s): readonly Branch[] => [
    ...legs.map((_, k): Branch => ({
      name: `input${k + 1}`,
      from: `L${k + 1}`,
      to: '~bus',
      role: 'load',
      rest: 'idle',
      states: {
        working: impedance(impedanceFor(s.number('volts') / Math.sqrt(3), s.number('amps'), 0.92), 500_000),
        idle: impedance(complex(8000), 500_000),
        off: opened,
      },
    })),
    ...legs.map((degrees, k): Branch => ({
      name: `output${k + 1}`,
      from: `T${k + 1}`,
      to: '~inverter',
      role: 'output',
      rest: 'off',
      states: {
        on: alternatingSource(polar(s.number('output') / Math.sqrt(3), degrees), complex(0.3)),
        off: opened,
      },
    })),
    toFrame('~bus'),
    {
      name: 'bus',
      from: 'BP',
      to: 'BN',
      role: 'output',
      rest: 'flat',
      states: {
        charged: directSource(busShare * s.number('volts'), busOhms),
        flat: resistance(bleedOhms),
      },
    },
    fixed('busReference', 'BN', 'EARTH', 'conductor', resistance(1e6)),
    // what it makes stands to ground as its supply does: a winding to ground draws from it
    fixed('reference', '~inverter', 'EARTH', 'conductor', resistance(groundOhms)),
    fixed('run', 'RUN', 'C', 'load', impedance(complex(1500), 1500)),
    memory('fault', ['none', 'overcurrent'], 'none'),
  ],
  senses: (s) => ({
    volts: ['input1', 'input2', 'input3', 'run'],
    amps: outputs,
    steps: {
      ...Object.fromEntries(outputs.map((output) => [output, [overcurrentShare * s.number('amps')]])),
      ...Object.fromEntries(
        ['input1', 'input2', 'input3'].map((input) => [
          input,
          [(fedShare * s.number('volts')) / Math.sqrt(3)],
        ]),
      ),
      run: [calledAboveVolts],
    },
  }),
  behave: (now): Wants => {
    const on = isFed(now) && isCalled(now) && now.is.fault === 'none'
    return {
      bus: legsFed(now) >= 2 ? 'charged' : 'flat',
      input1: on ? 'working' : 'idle',
      input2: on ? 'working' : 'idle',
      input3: on ? 'working' : 'idle',
      output1: on ? 'on' : 'off',
      output2: on ? 'on' : 'off',
      output3: on ? 'on' : 'off',
    }
  },
  late: {
    opens: () => [],
    wants: ({ amps, settings }): Wants =>
      outputs.some((output) => amps[output].size > overcurrentShare * settings.number('amps'))
        ? { fault: 'overcurrent' }
        : {},
    actsAfter: () => bearsSeconds,
  },
  faults: () => [
    sticks('locked-out', ['fault'], 'overcurrent', 'drive locked out on a fault', 3, {
      class: 'trip',
      cause: 'its display names the fault: overcurrent, ground, undervoltage, heat',
      clears: ['reset'],
    }),
    misset('left-off', 'keypad', 'off', 'drive stopped at its keypad: it waits for no call', 1, {
      cause: 'stopped for work and not put back',
      prove: 'the display; put it back to auto, with nobody near the fan',
    }),
    misset('in-hand', 'keypad', 'hand', 'drive in hand: it runs whatever is called', 0.8, {
      cause: 'started at its keypad for a test or a balance and left so',
      prove: 'the display; put it back to auto and see that it stops without a call',
    }),
    sticks('bus-dead', ['bus'], 'flat', 'drive’s bus dead', 0.8, {
      cause: 'its rectifier or what charges the bus is gone',
      prove: 'its display is dark; direct volts at the bus with three legs at its line terminals',
    }),
    opens('run', 'drive’s run input dead', 0.8),
    opens('output1', 'drive output 1 dead', 0.5),
    opens('input1', 'drive’s line input 1 open', 0.4),
  ],
  code: (now) => {
    if (now.is.bus !== 'charged') return 'dark'
    if (!isFed(now)) return 'undervoltage'
    if (now.settings.text('keypad') === 'off') return 'off'
    if (now.is.output1 !== 'on') return isCalled(now) ? 'locked out' : 'ready'
    return now.settings.text('keypad') === 'hand' ? 'hand' : 'running'
  },
  looks: (now) => [now.is.output1 === 'on' ? 'lamp-on' : 'lamp-off'],
}
