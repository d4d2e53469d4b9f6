import { solenoid, staysOpen, staysShut } from './solenoid'

const prove = 'temperatures of its pipes, with the coil fed and not: they change over within a minute'

/** Reversing valve of a heat pump. */
export const reversingValve = solenoid({
  kind: 'reversing-valve',
  words: 'reversing valve',
  cause: 'reversing-valve',
  va: 7,
  ohms: 22,
  seatFaults: [
    staysShut('fed, and does not shift', 1, { cause: 'slide stuck, pilot blocked', prove }),
    staysOpen('does not shift back', 0.7, { cause: 'slide stuck, pilot blocked', prove }),
  ],
})
