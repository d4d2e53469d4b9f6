import { complex, impedanceForVoltAmperes } from '../electric/complex'
import { impedance, rectified } from '../electric/law'
import { contact, fixed, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind, Wants } from './kind'

const calledAboveVolts = 16

/**
 * Ignition control of a gas section whose igniter and flame are not on the drawing: a heat call on `W` with
 * its limit string `LI`–`LO` closed starts the inducer (line contact `IND1`–`IND2`); draft proven on `PS`, it
 * feeds the gas valve from `MV`. One that proves the flame is `burner-control`.
 */
export const ignitionControl: PartKind = {
  kind: 'ignition-control',
  words: 'ignition control',
  cause: 'gas',
  symbol: 'control',
  settings: {},
  terminals: () => [
    { name: 'R', words: 'control power' },
    { name: 'C', words: 'common' },
    { name: 'W', words: 'heat call' },
    { name: 'LO', words: 'limit string, out' },
    { name: 'LI', words: 'limit string, back' },
    { name: 'PO', words: 'draft proof, out' },
    { name: 'PS', words: 'draft proof, back' },
    { name: 'MV', words: 'gas valve' },
    { name: 'BL', words: 'blower call out' },
    { name: 'IND1', words: 'inducer feed' },
    { name: 'IND2', words: 'inducer' },
  ],
  branches: () => [
    fixed('electronics', 'R', 'C', 'load', impedance(impedanceForVoltAmperes(24, 4, 0.7), rectified)),
    fixed('call', 'W', 'C', 'load', impedance(complex(1500), 1500)),
    fixed('limitFeed', 'R', 'LO', 'conductor', impedance(complex(0.05), 0.05)),
    fixed('limit', 'LI', 'C', 'load', impedance(complex(1800), 1800)),
    contact('draftFeed', 'LI', 'PO', 'open'),
    fixed('draftWatch', 'PO', 'C', 'load', impedance(complex(47_000), 47_000)),
    fixed('draft', 'PS', 'C', 'load', impedance(complex(1800), 1800)),
    contact('inducer', 'IND1', 'IND2', 'open', 0.01),
    contact('valve', 'PS', 'MV', 'open', 0.05),
    contact('blower', 'LI', 'BL', 'open', 0.05),
  ],
  senses: () => ({
    volts: ['electronics', 'call', 'limit', 'draft'],
    steps: Object.fromEntries(
      ['electronics', 'call', 'limit', 'draft'].map((input) => [input, [calledAboveVolts]]),
    ),
  }),
  behave: (now): Wants => {
    const called = [now.volts.electronics, now.volts.call, now.volts.limit].every(
      (volts) => volts.size >= calledAboveVolts,
    )
    const proven = called && now.volts.draft.size >= calledAboveVolts
    return {
      draftFeed: position(called),
      inducer: position(called),
      valve: position(proven),
      blower: position(proven),
    }
  },
  delays: () => [
    { branch: 'valve', to: 'closed', seconds: 30 },
    { branch: 'blower', to: 'closed', seconds: 60 },
    { branch: 'blower', to: 'open', seconds: 90 },
  ],
  faults: () => [
    opens('electronics', 'ignition control dead', 0.8),
    opens('inducer', 'ignition control does not start the inducer', 0.9),
    opens('valve', 'ignition control does not feed the gas valve', 1, {
      cause: 'flame not proven: rod, ground, gas; or the control',
    }),
    opens('blower', 'ignition control does not call the blower', 0.6),
    sticks('inducer-stuck', ['inducer'], 'closed', 'inducer contact stuck closed', 0.3),
  ],
  code: (now) => {
    const { electronics, call, limit, draft } = now.volts
    if (electronics.size < calledAboveVolts) return 'dark'
    if (call.size < calledAboveVolts) return 'steady'
    return limit.size < calledAboveVolts
      ? '4 flashes'
      : draft.size < calledAboveVolts
        ? '2 flashes'
        : 'steady'
  },
  looks: (now) => [now.volts.electronics.size >= calledAboveVolts ? 'lamp-on' : 'lamp-off'],
}
