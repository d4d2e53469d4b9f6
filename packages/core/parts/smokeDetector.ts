import { impedanceForVoltAmperes } from '../electric/complex'
import { impedance, rectified } from '../electric/law'
import { contact, fixed, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'

const awakeAboveVolts = 18

/**
 * Duct smoke detector on 24 V; its alarm contact `COM`–`NC` is held closed while it is powered and sees no
 * smoke.
 */
export const smokeDetector: PartKind = {
  kind: 'smoke-detector',
  words: 'duct smoke detector',
  cause: 'detector',
  symbol: 'control',
  guard: true,
  landings: () => [
    {
      terminals: ['NC', 'NO'],
      prior: 0.5,
      by: { is: 'lead' },
      cause: 'miswired at the last work',
      prove: 'follow the lead to its terminal',
    },
  ],
  throws: () => [['clear'], ['alarm']],
  settings: {},
  terminals: () => [
    { name: 'R', words: '24 V' },
    { name: 'C', words: 'common' },
    { name: 'COM', words: 'alarm contact, common' },
    { name: 'NC', words: 'alarm contact, closed when clear' },
    { name: 'NO', words: 'alarm contact, closed in alarm' },
  ],
  branches: () => [
    fixed('electronics', 'R', 'C', 'load', impedance(impedanceForVoltAmperes(24, 3, 0.8), rectified)),
    contact('clear', 'COM', 'NC', 'open'),
    contact('alarm', 'COM', 'NO', 'closed'),
  ],
  senses: () => ({ volts: ['electronics'], steps: { electronics: [awakeAboveVolts] } }),
  behave: (now) => {
    const clear = now.volts.electronics.size >= awakeAboveVolts && (now.conditions.smoke ?? 0) === 0
    return { clear: position(clear), alarm: position(!clear) }
  },
  faults: () => [
    {
      name: 'dead',
      class: 'open',
      words: 'detector dead with its alarm contact open',
      prior: 1.6,
      cause: 'head aged or dirty',
      prove: 'lamps dark with 24 V at its own terminals',
      effects: [
        { does: 'open', branch: 'electronics' },
        { does: 'hold', branch: 'clear', state: 'open' },
        { does: 'hold', branch: 'alarm', state: 'closed' },
      ],
    },
    {
      name: 'blind',
      class: 'stuck',
      words: 'detector dead with its alarm contact closed: it would not open on smoke',
      prior: 0.6,
      cause: 'head aged, or its contact passed by',
      prove: 'lamps dark with 24 V at its own terminals, and the contact stays closed under the magnet',
      effects: [
        { does: 'open', branch: 'electronics' },
        { does: 'hold', branch: 'clear', state: 'closed' },
        { does: 'hold', branch: 'alarm', state: 'open' },
      ],
    },
    opens('clear', 'alarm contact does not make', 0.8),
    sticks('in-alarm', ['clear'], 'open', 'detector in alarm', 1, {
      class: 'trip',
      cause: 'smoke, dust: put the fire panel on test before touching it',
      clears: ['reset'],
    }),
  ],
  code: (now) =>
    now.volts.electronics.size < awakeAboveVolts ? 'dark' : now.is.clear === 'closed' ? 'green' : 'red',
  looks: (now) => [now.volts.electronics.size >= awakeAboveVolts ? 'lamp-on' : 'lamp-off'],
  testBridge: 'never',
}
