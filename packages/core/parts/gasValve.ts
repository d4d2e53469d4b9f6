import { memory } from './contact'
import { sticks } from './fault'
import type { PartKind } from './kind'
import { solenoid } from './solenoid'

const coil = solenoid('gas-valve', 'gas valve', 'gas', 9, 32)

/** It opens from this share of its rated volts. */
const opensFrom = 0.75

/** Gas valve of a burner; gas flows while its coil is fed. */
export const gasValve: PartKind = {
  ...coil,
  moving: 'seat',
  branches: (s, conditions) => [...coil.branches(s, conditions), memory('seat', ['shut', 'open'], 'shut')],
  senses: (s) => ({ volts: ['coil'], steps: { coil: [opensFrom * s.number('volts')] } }),
  behave: (now) => ({
    seat: now.volts.coil.size >= opensFrom * now.settings.number('volts') ? 'open' : 'shut',
  }),
  faults: (s) => [
    ...coil.faults(s),
    sticks('no-gas', ['seat'], 'shut', 'gas valve fed, and no gas at the burner', 1.5, {
      cause: 'cock shut, pressure low or none, valve stuck',
      prove: 'gas pressure at the valve’s inlet and outlet, by whoever is licensed for gas',
    }),
  ],
  looks: (now) => [now.is.seat === 'open' ? 'open-drawn' : 'shut'],
}
