import { complex, impedanceForVoltAmperes } from '../electric/complex'
import { impedance, rectified } from '../electric/law'
import { contact, fixed, position } from './contact'
import { opens, sticks } from './fault'
import type { Now, PartKind, Wants } from './kind'
import { sensorInput } from './sensorInput'
import type { Settings } from './settings'
import { sensorFeedOhms } from '../physics/sensorFeed'
import { thermistorFahrenheit } from '../physics/thermistor'

const calledAboveVolts = 16
/**
 * A call that is passed on draws at least this through the control, amperes; less, and a switch behind it is
 * open.
 */
const passedAmps = 0.05

const hasSwitch = (s: Settings): boolean => s.text('sensor') === 'switch'
const hasThermistors = (s: Settings): boolean => s.text('sensor') === 'thermistors'

/** A coil so much colder than the air about it has frost on it, when it freezes at all, °F. */
const frostedBelowAir = 6
const freezesAt = 32
/** Outside of these a sensor or its wires are at fault, and it defrosts no more, °F. */
const sensorRange = { least: -40, most: 150 } as const

const feltBy = (now: Now, input: string): number =>
  thermistorFahrenheit('2', sensorFeedOhms(now.direct[input] ?? 0))

const isInRange = (fahrenheit: number): boolean =>
  fahrenheit > sensorRange.least && fahrenheit < sensorRange.most

const sensorsOf = (now: Now): readonly [coil: number, air: number] => [
  feltBy(now, 'coilInput'),
  feltBy(now, 'airInput'),
]

function isFrosted(now: Now): boolean {
  if (!hasThermistors(now.settings))
    return !hasSwitch(now.settings) || now.volts.sensorInput.size >= calledAboveVolts
  const [coil, air] = sensorsOf(now)
  return [coil, air].every(isInRange) && coil < freezesAt && air - coil >= frostedBelowAir
}

const sensorTerminals = [
  { name: 'CT+', words: 'coil sensor +' },
  { name: 'CT-', words: 'coil sensor −' },
  { name: 'AM+', words: 'air sensor +' },
  { name: 'AM-', words: 'air sensor −' },
] as const

/**
 * Defrost control of a heat pump: passes `Y` on to the contactor at `CC`, drives the reversing valve at `RV`
 * from `O` or in defrost, calls auxiliary heat at `W2` in defrost, and rests the outdoor fan (`F1`–`F2`)
 * meanwhile. With a defrost thermostat on `DT1`–`DT2` it defrosts by its timer only while that is closed; with
 * thermistors of coil (`CT`) and air (`AM`) when the coil is so much colder that it must be frosted.
 */
export const defrostControl: PartKind = {
  kind: 'defrost-control',
  words: 'defrost control',
  cause: 'defrost',
  symbol: 'control',
  likelier: ['cold-weather'],
  givenUp: {
    without: ['CC', 'RV'],
    words: 'defrost: the outdoor coil frosts over in heating, and is thawed by hand',
  },
  passesOn: [
    ['Y', 'CC'],
    ['O', 'RV'],
    ['F1', 'F2'],
  ],
  settings: { sensor: 'none' },
  terminals: (s) => [
    { name: 'R', words: 'control power' },
    { name: 'C', words: 'common' },
    { name: 'Y', words: 'compressor call' },
    { name: 'O', words: 'changeover call' },
    { name: 'CC', words: 'to the compressor contactor' },
    { name: 'RV', words: 'to the reversing valve' },
    { name: 'W2', words: 'auxiliary heat in defrost' },
    { name: 'F1', words: 'outdoor fan feed' },
    { name: 'F2', words: 'outdoor fan' },
    ...(hasThermistors(s) ? sensorTerminals : []),
    ...(hasSwitch(s)
      ? [
          { name: 'DT1', words: 'defrost thermostat, out' },
          { name: 'DT2', words: 'defrost thermostat, back' },
        ]
      : []),
  ],
  branches: (s) => [
    fixed('electronics', 'R', 'C', 'load', impedance(impedanceForVoltAmperes(24, 3, 0.7), rectified)),
    fixed('call', 'Y', 'C', 'load', impedance(complex(2200), 2200)),
    contact('compressor', 'Y', 'CC', 'closed', 0.03),
    contact('cooling', 'O', 'RV', 'closed', 0.03),
    contact('reverse', 'R', 'RV', 'open', 0.03),
    contact('heat', 'R', 'W2', 'open', 0.03),
    contact('fan', 'F1', 'F2', 'closed', 0.01),
    ...(hasThermistors(s) ? [...sensorInput('coil', 'CT'), ...sensorInput('air', 'AM')] : []),
    ...(hasSwitch(s)
      ? [
          fixed('sensorFeed', 'R', 'DT1', 'conductor', impedance(complex(0.05), 0.05)),
          fixed('sensorInput', 'DT2', 'C', 'load', impedance(complex(2200), 2200)),
        ]
      : []),
  ],
  senses: (s) => {
    const inputs = ['electronics', 'call', ...(hasSwitch(s) ? ['sensorInput'] : [])]
    const steps = Object.fromEntries(inputs.map((name) => [name, [calledAboveVolts]]))
    return {
      volts: inputs,
      amps: ['compressor'],
      steps: { ...steps, compressor: [] },
      ...(hasThermistors(s) ? { direct: ['coilInput', 'airInput'] } : {}),
    }
  },
  behave: (now): Wants => {
    const awake = now.volts.electronics.size >= calledAboveVolts
    const isTime = now.call === 'defrost' && now.volts.call.size >= calledAboveVolts
    const defrosting = awake && isFrosted(now) && isTime
    return { reverse: position(defrosting), heat: position(defrosting), fan: position(!defrosting) }
  },
  delays: () => [{ branch: 'heat', to: 'open', seconds: 5 }],
  faults: () => [
    opens('electronics', 'defrost control dead', 0.8),
    opens('compressor', 'defrost control does not pass the compressor call', 0.9),
    opens('cooling', 'defrost control does not pass the changeover call', 0.6),
    opens('fan', 'defrost control does not feed the outdoor fan', 1),
    opens('heat', 'defrost control does not call heat in defrost', 0.5),
    sticks('heat-stuck', ['heat'], 'closed', 'defrost control holds auxiliary heat on', 0.5),
    sticks('reverse-stuck', ['reverse'], 'closed', 'defrost control holds the reversing valve on', 0.3),
    {
      name: 'defrost-stuck',
      class: 'stuck',
      words: 'defrost control stays in defrost: reversing valve and auxiliary heat on, outdoor fan off',
      prior: 0.4,
      effects: [
        { does: 'hold', branch: 'reverse', state: 'closed' },
        { does: 'hold', branch: 'heat', state: 'closed' },
        { does: 'hold', branch: 'fan', state: 'open' },
      ],
      cause: 'its relay welded',
      prove: 'a defrost ends by itself in some ten minutes, and none begins with no call',
    },
  ],
  pairs: (s) =>
    hasThermistors(s)
      ? [
          ['CT+', 'CT-'],
          ['AM+', 'AM-'],
        ]
      : [],
  code: (now) => {
    if (now.volts.electronics.size < calledAboveVolts) return 'dark'
    if (hasThermistors(now.settings) && !sensorsOf(now).every(isInRange)) return '4 flashes'
    return now.volts.call.size >= calledAboveVolts && now.amps.compressor.size < passedAmps
      ? '2 flashes'
      : 'steady'
  },
  looks: (now) => [now.volts.electronics.size >= calledAboveVolts ? 'lamp-on' : 'lamp-off'],
}
