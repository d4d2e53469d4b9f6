import { solenoid, staysShut } from './solenoid'

/** Gas valve of a burner; gas flows while its coil is fed. */
export const gasValve = solenoid({
  kind: 'gas-valve',
  words: 'gas valve',
  cause: 'gas',
  va: 9,
  ohms: 32,
  seatFaults: [
    staysShut('fed, and no gas at the burner', 1.5, {
      cause: 'cock shut, pressure low or none, valve stuck',
      prove: 'gas pressure at the valve’s inlet and outlet, by whoever is licensed for gas',
    }),
  ],
})
