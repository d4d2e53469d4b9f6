import { impedanceForVoltAmperes } from '../electric/complex'
import { directSource, impedance, rectified } from '../electric/law'
import { contact, fixed, memory, position } from './contact'
import { isHeatingCall, type HeatingCall } from './heatingCall'
import { misset, opens, sticks } from './fault'
import type { Branch, Now, PartFault, PartKind } from './kind'
import type { Settings } from './settings'

/** Below this a thermostat's electronics go dark and its relays let go, volts. */
const darkBelowVolts = 17
/** Its capacitors carry it over this long without power, seconds. */
const holdUpSeconds = 0.5

/** A signal of 0–10 V that stands in the place of an output, and the output whose calls it follows. */
const callOfSignal: Readonly<Record<string, string>> = { AH: 'W1', AC: 'Y1' }
const fullSignalVolts = 10
const signalOhms = 500

const signals = (s: Settings): readonly string[] => s.list('signals')
const outputs = (s: Settings): readonly string[] => s.list('outputs')
const relay = (terminal: string): string => `relay${terminal}`

/**
 * Weights of outputs that stay open, and of outputs that stay closed, all of a thermostat together: one with
 * many outputs fails no more often for it. Found about half as often as a set-up that is wrong, which
 * weighs 1: no other part is blamed wrongly as often. A judgement.
 */
const outputWeights = { open: 0.6, closed: 0.15 } as const

const signalBranch = (name: string): Branch => ({
  name: `signal${name}`,
  from: name,
  to: 'C',
  role: 'output',
  rest: 'none',
  states: { none: directSource(0, signalOhms), full: directSource(fullSignalVolts, signalOhms) },
})

const signalFaults = (name: string): readonly PartFault[] => [
  sticks(`signal${name}-lost`, [`signal${name}`], 'none', `thermostat gives no signal on ${name}`, 0.7, {
    prove: `direct volts ${name} to C, the lead off it`,
  }),
  sticks(`signal${name}-held`, [`signal${name}`], 'full', `thermostat holds its signal on ${name}`, 0.4),
]

/** Set up for the other kind of heat, where the unit has any; a heat pump's drives G whenever it heats. */
function missetHeat(s: Settings): readonly PartFault[] {
  if (s.text('system') === 'heat-pump')
    return [
      misset(
        'set-changeover',
        'changeover',
        s.text('changeover') === 'O' ? 'B' : 'O',
        'thermostat set up for the other reversing-valve terminal',
        1,
      ),
    ]
  if (![...outputs(s), ...signals(s)].some((name) => name.startsWith('W') || name === 'AH')) return []
  const isFuel = s.text('heat') === 'fuel'
  return [
    misset(
      'set-heat',
      'heat',
      isFuel ? 'electric' : 'fuel',
      isFuel
        ? 'thermostat set up for electric heat'
        : 'thermostat set up for fuel heat: does not drive G in heating',
      1,
    ),
  ]
}

const drivenKnown = new WeakMap<Settings, Map<string, ReadonlySet<string>>>()

/** Outputs that a call drives, given how the thermostat is set up; asked anew each time that it is felt. */
function driven({ settings, call }: Pick<Now, 'settings' | 'call'>): ReadonlySet<string> {
  const byCall = drivenKnown.get(settings) ?? new Map<string, ReadonlySet<string>>()
  drivenKnown.set(settings, byCall)
  const known = byCall.get(call) ?? drivenIn(settings, call)
  byCall.set(call, known)
  return known
}

function drivenIn(settings: Settings, call: Now['call']): ReadonlySet<string> {
  const setUp: SetUp = {
    isHeatPump: settings.text('system') === 'heat-pump',
    drivesFanInHeat: settings.text('heat') === 'electric',
    hasTwoStages: settings.number('stages') > 1,
    changeover: settings.text('changeover'),
  }
  switch (call) {
    case 'fan':
      return new Set(['G'])
    case 'cool1':
    case 'cool2':
      return new Set(inCooling(setUp, call))
    default:
      if (!isHeatingCall(call)) return new Set()
      return new Set(setUp.isHeatPump ? inHeatPumpHeating(setUp, call) : inHeating(setUp, call))
  }
}

interface SetUp {
  readonly isHeatPump: boolean
  readonly drivesFanInHeat: boolean
  readonly hasTwoStages: boolean
  readonly changeover: string
}

const when = (holds: boolean, ...outputs: readonly string[]): readonly string[] => (holds ? outputs : [])

const inCooling = ({ isHeatPump, hasTwoStages, changeover }: SetUp, call: 'cool1' | 'cool2') => [
  'G',
  'Y1',
  ...when(call === 'cool2' && hasTwoStages, 'Y2'),
  ...when(isHeatPump && changeover === 'O', 'O'),
]

const inHeating = ({ drivesFanInHeat }: SetUp, call: HeatingCall) => [
  ...when(drivesFanInHeat, 'G'),
  'W1',
  ...when(call === 'heat2' || call === 'emergency', 'W2'),
]

const inHeatPumpHeating = ({ hasTwoStages, changeover }: SetUp, call: HeatingCall) => [
  'G',
  ...when(changeover === 'B', 'B'),
  ...when(call !== 'emergency', 'Y1'),
  ...when(call === 'heat2' && hasTwoStages, 'Y2'),
  ...when(call === 'heat2' || call === 'emergency', 'W1', 'W2'),
  ...when(call === 'emergency', 'E'),
]

/**
 * A thermostat: joins R to the outputs that the call asks for. `heat` says whether it drives G in heating
 * (electric) or leaves the fan to the unit (fuel). It takes `restart` seconds to
 * come back when power has been lost; its compressor outputs wait `compressorDelay` seconds.
 * What `signals` names it calls by 0–10 V direct current to `C`: `AH` as it would `W1`, `AC` as `Y1`.
 */
export const thermostat: PartKind = {
  kind: 'thermostat',
  words: 'thermostat',
  cause: 'thermostat',
  symbol: 'control',
  calls: outputs,
  pairs: (s) => signals(s).map((name) => [name, 'C']),
  fanCall: 'G',
  dials: {
    heat: {
      words: 'kind of heat',
      unit: '',
      choices: [
        { id: 'fuel', words: 'fuel' },
        { id: 'electric', words: 'electric' },
      ],
    },
    stages: { words: 'stages', unit: '' },
    changeover: {
      words: 'reversing valve on',
      unit: '',
      matters: (s) => s.text('system') === 'heat-pump',
      choices: [
        { id: 'O', words: 'O' },
        { id: 'B', words: 'B' },
      ],
    },
    compressorDelay: {
      words: 'compressor delay',
      unit: 's',
      matters: (s) => outputs(s).some((name) => name.startsWith('Y')),
    },
  },
  menuShownBy: 'lamp-on',
  settings: {
    outputs: 'Y1,Y2,G,W1',
    signals: '',
    system: 'conventional',
    heat: 'fuel',
    stages: 2,
    changeover: 'O',
    compressorDelay: 300,
    restart: 60,
    volts: 24,
    power: 'common',
  },
  terminals: (s) => [
    { name: 'R', words: 'R, control power in' },
    ...(s.text('power') === 'common' ? [{ name: 'C', words: 'C, common' }] : []),
    ...outputs(s).map((name) => ({ name, words: `${name} output` })),
    ...signals(s).map((name) => ({ name, words: `${name} signal` })),
  ],
  branches: (s) => [
    ...(s.text('power') === 'common'
      ? [
          fixed(
            'electronics',
            'R',
            'C',
            'load',
            impedance(impedanceForVoltAmperes(s.number('volts'), 1.5, 0.7), rectified),
          ),
        ]
      : []),
    ...outputs(s).map((name) => contact(relay(name), 'R', name, 'open', 0.05)),
    ...signals(s).map(signalBranch),
    memory('electronicsState', ['dark', 'awake'], 'dark'),
  ],
  senses: (s) =>
    s.text('power') === 'common' ? { volts: ['electronics'], steps: { electronics: [darkBelowVolts] } } : {},
  behave: (now) => {
    const powered = now.settings.text('power') !== 'common' || now.volts.electronics.size >= darkBelowVolts
    // it holds up for a moment without power, and its outputs wait until it has started up again
    const awake = now.is.electronicsState === 'awake'
    const on = driven(now)
    return {
      electronicsState: powered ? 'awake' : 'dark',
      ...Object.fromEntries(
        outputs(now.settings).map((name) => [relay(name), position(awake && on.has(name))]),
      ),
      ...Object.fromEntries(
        signals(now.settings).map((name) => [
          `signal${name}`,
          awake && on.has(callOfSignal[name]) ? 'full' : 'none',
        ]),
      ),
    }
  },
  delays: (s) => [
    { branch: 'electronicsState', to: 'awake', seconds: s.number('restart') },
    { branch: 'electronicsState', to: 'dark', seconds: holdUpSeconds },
    ...outputs(s)
      .filter((name) => name.startsWith('Y'))
      .map((name) => ({ branch: relay(name), to: 'closed', seconds: s.number('compressorDelay') })),
  ],
  faults: (s) => [
    ...outputs(s).map((name) =>
      opens(relay(name), `thermostat does not close ${name}`, outputWeights.open / outputs(s).length, {
        prove: `join R to ${name} at the thermostat for a moment`,
      }),
    ),
    ...outputs(s).map((name) =>
      sticks(
        `${relay(name)}-stuck`,
        [relay(name)],
        'closed',
        `thermostat holds ${name} closed`,
        outputWeights.closed / outputs(s).length,
      ),
    ),
    ...signals(s).flatMap(signalFaults),
    ...(s.text('power') === 'common' ? [opens('electronics', 'thermostat dead', 0.3)] : []),
    ...(s.number('stages') > 1
      ? [
          misset('set-one-stage', 'stages', 1, 'thermostat set up for one stage', 1, {
            cause: 'set-up at installation or after a battery change',
          }),
        ]
      : []),
    ...missetHeat(s),
  ],
  looks: (now) => [
    now.settings.text('power') !== 'common' || now.volts.electronics.size >= darkBelowVolts
      ? 'lamp-on'
      : 'dark',
  ],
}
