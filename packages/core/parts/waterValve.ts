import { solenoid, staysOpen, staysShut } from './solenoid'

/** Water-valve actuator: opens while fed, closes by its spring. */
export const waterValve = solenoid({
  kind: 'water-valve',
  words: 'water valve actuator',
  cause: 'changeover',
  va: 7,
  ohms: 60,
  seatFaults: [
    staysShut('fed, and does not open', 1.5, {
      cause: 'stem stuck, gears of the actuator stripped, end of stroke lost',
      prove: 'actuator off: the stem moves by hand; warmth behind the valve',
    }),
    staysOpen('does not close', 1, {
      cause: 'spring broken, stem stuck, dirt in the seat',
      prove: 'nothing on its coil, and the pipe behind it stays warm or cold',
    }),
  ],
})
