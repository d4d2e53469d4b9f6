import { solenoid, staysShut } from './solenoid'

/** The second coil of a two-stage gas valve: fed beside the first, the burner goes from low to high fire. */
export const highFireValve = solenoid({
  kind: 'high-fire-valve',
  words: 'high-fire coil of the gas valve',
  cause: 'gas',
  va: 6,
  ohms: 48,
  seatFaults: [
    staysShut('fed, and the burner stays at low fire', 0.8, {
      cause: 'its regulator set low, or the valve stuck',
      prove: 'manifold pressure at high fire, by whoever is licensed for gas',
    }),
  ],
})
