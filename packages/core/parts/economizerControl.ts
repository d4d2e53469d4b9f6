import { complex, impedanceForVoltAmperes } from '../electric/complex'
import { directSource, impedance, rectified, type Law } from '../electric/law'
import { contact, fixed, position } from './contact'
import { dialledNumber, dialMarks } from './dialMarks'
import { misset, opens, sticks } from './fault'
import { enthalpyBtuPerPound } from '../physics/psychrometrics'
import { humidityLoop, humidityOfAmps } from './humiditySensor'
import type { Effect } from './effect'
import type { Branch, DialChoice, Now, PartFault, PartKind, Wants } from './kind'
import type { Settings } from './settings'
import { sensorFeedOhms } from '../physics/sensorFeed'
import { sensorInput } from './sensorInput'
import { thermistorFahrenheit } from '../physics/thermistor'

const awakeAboveVolts = 18
const calledAboveVolts = 16

/** Damper signals, direct volts. */
const signals = { shut: 2, minimum: 4, full: 10 } as const

const usesEnthalpy = (s: Settings): boolean => s.text('method').endsWith('enthalpy')

/** A dial that stands at its last mark cannot have been turned there. */
const isAsSet = (s: Settings, effect: Effect): boolean =>
  effect.does === 'set' && s.text(effect.setting) === String(effect.to)

const hasMixedAir = (s: Settings): boolean => s.text('mixedAir') === 'fitted'

const input = (z: number): Law => impedance(complex(z), z)
const output = (name: string, from: string, to: string): Branch => ({
  name,
  from,
  to,
  role: 'output',
  rest: 'shut',
  states: {
    shut: directSource(0, 500),
    low: directSource(signals.shut, 500),
    minimum: directSource(signals.minimum, 500),
    full: directSource(signals.full, 500),
  },
})

const humidityOf = (direct: number): number =>
  humidityOfAmps((humidityLoop.volts - direct) / humidityLoop.ohms)

/**
 * Whether the controller judges outdoor air good enough, by its changeover method and what its sensors say.
 */
function outdoorAirIsGood(now: Now): boolean {
  const family = now.settings.text('family')
  const outdoor = thermistorFahrenheit(family, sensorFeedOhms(now.direct.outdoorInput))
  switch (now.settings.text('method')) {
    case 'fixed-dry-bulb':
      return outdoor <= dialledNumber(now.settings, 'changeover')
    case 'differential-dry-bulb':
      return outdoor <= thermistorFahrenheit(family, sensorFeedOhms(now.direct.returnInput)) - 2
    case 'fixed-enthalpy':
      return (
        enthalpyBtuPerPound(outdoor, humidityOf(now.direct.outdoorHumidity)) <=
        dialledNumber(now.settings, 'changeover')
      )
    case 'differential-enthalpy': {
      const returning = thermistorFahrenheit(family, sensorFeedOhms(now.direct.returnInput))
      return (
        enthalpyBtuPerPound(outdoor, humidityOf(now.direct.outdoorHumidity)) <=
        enthalpyBtuPerPound(returning, humidityOf(now.direct.returnHumidity)) - 0.5
      )
    }
    default:
      throw new RangeError(`changeover method “${now.settings.text('method')}” is not known`)
  }
}

const isCalled = (now: Now, input: 'input1' | 'input2' | 'fanInput'): boolean =>
  now.volts[input].size >= calledAboveVolts

/**
 * Ohms between which a 10 kΩ thermistor can be at any weather; beyond them it, or a lead of it, is broken.
 */
const believable = { least: 500, most: 200_000 } as const

/**
 * A controller that watches its sensors gives up free cooling when one is lost; others take it for cold air.
 */
function keepsOutFor(now: Now, ...inputs: readonly string[]): boolean {
  if (now.settings.text('lostSensor') !== 'locks-out') return false
  return inputs.some((input) => {
    const ohms = sensorFeedOhms(now.direct[input])
    return !(ohms > believable.least && ohms < believable.most)
  })
}

const isFree = (now: Now): boolean =>
  isCalled(now, 'input1') &&
  !keepsOutFor(
    now,
    ...(now.settings.text('method').startsWith('fixed') ? [] : ['returnInput']),
    'outdoorInput',
  ) &&
  outdoorAirIsGood(now)

/** Mixed air colder than this sends the damper back to its minimum, °F: the coil and the pipes freeze. */
const coldestMixedAir = 45

const isTooCold = (now: Now): boolean =>
  hasMixedAir(now.settings) &&
  thermistorFahrenheit(now.settings.text('family'), sensorFeedOhms(now.direct.mixedInput)) < coldestMixedAir

/** Where the damper goes: outdoor air while it is free and not too cold, a minimum while people are in. */
function damperOf(now: Now, free: boolean): 'full' | 'minimum' | 'low' {
  if (free && !isTooCold(now)) return 'full'
  return free || isCalled(now, 'fanInput') ? 'minimum' : 'low'
}

const mixedAirTerminals = [
  { name: 'SM+', words: 'mixed-air sensor +' },
  { name: 'SM-', words: 'mixed-air sensor −' },
] as const

const humidityTerminals = [
  { name: 'HO+', words: 'outdoor humidity +' },
  { name: 'HO-', words: 'outdoor humidity −' },
  { name: 'HR+', words: 'return humidity +' },
  { name: 'HR-', words: 'return humidity −' },
] as const

const loop = (name: string, at: string): readonly Branch[] => [
  fixed(name, `${at}+`, `${at}-`, 'output', directSource(humidityLoop.volts, humidityLoop.ohms)),
  fixed(`${name}Reference`, `${at}-`, 'C', 'conductor', impedance(complex(10), 10)),
]
const humidityBranches: readonly Branch[] = [
  ...loop('outdoorHumidity', 'HO'),
  ...loop('returnHumidity', 'HR'),
]

/** How far a dial can be turned wrong: to the ends of its marks, or as far as a number may be off. */
function wrongChangeovers(s: Settings): { readonly high: number | string; readonly low: number | string } {
  const marks = [...dialMarks(s)].sort((a, b) => a.value - b.value)
  if (marks.length > 0) return { high: marks[marks.length - 1].mark, low: marks[0].mark }
  return usesEnthalpy(s) ? { high: 45, low: 12 } : { high: 95, low: 30 }
}

const changeoverFaults = (s: Settings): readonly PartFault[] => [
  misset(
    'changeover-high',
    'changeover',
    wrongChangeovers(s).high,
    'changeover set far too high: takes hot air for good',
    1.5,
    {
      cause: 'dial turned by somebody, or left as delivered',
      prove: 'read the dial against the climate table',
    },
  ),
  misset(
    'changeover-low',
    'changeover',
    wrongChangeovers(s).low,
    'changeover set too low: never takes outdoor air',
    1,
  ),
]

/** By what a controller may be set to judge outdoor air. */
const methods: readonly DialChoice[] = [
  { id: 'fixed-dry-bulb', words: 'outdoor temperature' },
  { id: 'differential-dry-bulb', words: 'outdoor against return temperature' },
  { id: 'fixed-enthalpy', words: 'outdoor enthalpy' },
  { id: 'differential-enthalpy', words: 'outdoor against return enthalpy' },
]
const withoutHumidity = methods.filter(({ id }) => id.endsWith('dry-bulb'))

/**
 * Economizer controller: takes Y1 and Y2 first. Outdoor air good enough: opens the damper and keeps the first
 * call, and gives the first compressor to the second; otherwise passes both back on `Y1O`, `Y2O`. Sensors on
 * `SO±` (outdoor), `SR±` (return) and, where fitted, `SM±` (mixed air, its low limit), actuator on `A±`.
 */
export const economizerControl = (
  kind: string,
  words: string,
  method: string,
  humidity: boolean,
): PartKind => ({
  kind,
  words,
  cause: 'economizer',
  symbol: 'control',
  governedBy: 'sensors',
  givenUp: {
    without: ['Y1O', 'Y2O'],
    words: 'cooling with outdoor air: its damper stays where the fan call has it',
  },
  passesOn: [
    ['Y1I', 'Y1O'],
    ['Y2I', 'Y2O'],
  ],
  dials: {
    method: { words: 'changeover by', unit: '', choices: humidity ? methods : withoutHumidity },
    changeover: {
      words: 'changeover point',
      unit: (s) => (usesEnthalpy(s) ? 'Btu/lb' : '°F'),
      marked: true,
    },
  },
  dryBulbLimit: (s) => (s.text('method') === 'fixed-dry-bulb' ? dialledNumber(s, 'changeover') : undefined),
  settings: {
    method,
    changeover: 60,
    dialMarks: '',
    family: '2',
    lostSensor: 'reads-cold',
    mixedAir: 'none',
  },
  terminals: (s) => [
    { name: 'R', words: 'control power' },
    { name: 'C', words: 'common' },
    { name: 'Y1I', words: 'first-stage call in' },
    { name: 'Y1O', words: 'first-stage call, returned' },
    { name: 'Y2I', words: 'second-stage call in' },
    { name: 'Y2O', words: 'second-stage call, returned' },
    { name: 'G', words: 'fan call (occupied: damper to minimum)' },
    { name: 'SO+', words: 'outdoor sensor +' },
    { name: 'SO-', words: 'outdoor sensor −' },
    { name: 'SR+', words: 'return sensor +' },
    { name: 'SR-', words: 'return sensor −' },
    ...(hasMixedAir(s) ? mixedAirTerminals : []),
    ...(humidity ? humidityTerminals : []),
    { name: 'A+', words: 'actuator signal +' },
    { name: 'A-', words: 'actuator signal −' },
  ],
  branches: (s) => [
    fixed('electronics', 'R', 'C', 'load', impedance(impedanceForVoltAmperes(24, 4, 0.8), rectified)),
    fixed('input1', 'Y1I', 'C', 'load', input(2400)),
    fixed('input2', 'Y2I', 'C', 'load', input(2400)),
    fixed('fanInput', 'G', 'C', 'load', input(2400)),
    contact('pass1', 'Y1I', 'Y1O', 'open', 0.05),
    contact('pass2', 'Y2I', 'Y2O', 'open', 0.05),
    ...sensorInput('outdoor', 'SO'),
    ...sensorInput('return', 'SR'),
    ...(hasMixedAir(s) ? sensorInput('mixed', 'SM') : []),
    fixed('signalReference', 'A-', 'C', 'conductor', impedance(complex(10), 10)),
    output('signal', 'A+', 'A-'),
    ...(humidity ? humidityBranches : []),
  ],
  senses: (s) => ({
    volts: ['electronics', 'input1', 'input2', 'fanInput'],
    steps: {
      electronics: [awakeAboveVolts],
      input1: [calledAboveVolts],
      input2: [calledAboveVolts],
      fanInput: [calledAboveVolts],
    },
    direct: [
      'outdoorInput',
      'returnInput',
      ...(hasMixedAir(s) ? ['mixedInput'] : []),
      ...(humidity ? ['outdoorHumidity', 'returnHumidity'] : []),
    ],
  }),
  behave: (now): Wants => {
    const awake = now.volts.electronics.size >= awakeAboveVolts
    const free = awake && isFree(now)
    // outdoor air is the first stage; a second one called brings the first compressor beside it
    const first = isCalled(now, 'input1') && (!free || isCalled(now, 'input2'))
    const second = isCalled(now, 'input2') && !free
    return {
      pass1: position(awake && first),
      pass2: position(awake && second),
      signal: awake ? damperOf(now, free) : 'shut',
    }
  },
  faults: (s) => [
    opens('pass1', 'controller’s first-stage return contact does not make', 1.5),
    opens('pass2', 'controller’s second-stage return contact does not make', 1),
    sticks('pass1-stuck', ['pass1'], 'closed', 'controller’s first-stage return contact stuck closed', 0.4),
    sticks('pass2-stuck', ['pass2'], 'closed', 'controller’s second-stage return contact stuck closed', 0.3),
    opens('electronics', 'controller dead', 1),
    opens('outdoorInput', 'outdoor sensor input dead', 0.3),
    sticks('signal-low', ['signal'], 'low', 'damper signal stays at closed', 0.5),
    sticks('signal-full', ['signal'], 'full', 'damper signal stays at full open', 0.4),
    ...(s.text('method').startsWith('fixed')
      ? changeoverFaults(s).filter(({ effects }) => !effects.some((effect) => isAsSet(s, effect)))
      : [
          misset(
            'method-fixed',
            'method',
            'fixed-dry-bulb',
            'controller set to a fixed dry-bulb changeover',
            0.8,
          ),
        ]),
  ],
  pairs: (s) => [
    ...(hasMixedAir(s) ? ([['SM+', 'SM-']] as const) : []),
    ...(humidity
      ? ([
          ['HO+', 'HO-'],
          ['HR+', 'HR-'],
        ] as const)
      : []),
    ['R', 'C'],
    ['SO+', 'SO-'],
    ['SR+', 'SR-'],
    ['A+', 'A-'],
    ['Y1I', 'Y1O'],
    ['Y2I', 'Y2O'],
  ],
  code: (now) =>
    now.volts.electronics.size < awakeAboveVolts ? 'dark' : now.is.signal === 'full' ? 'free' : 'steady',
  looks: (now) =>
    now.is.signal === 'full'
      ? ['open-drawn']
      : now.volts.electronics.size >= awakeAboveVolts
        ? ['lamp-on']
        : ['lamp-off'],
})
