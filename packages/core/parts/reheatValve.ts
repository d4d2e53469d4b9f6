import { solenoid, staysOpen, staysShut } from './solenoid'

const prove = 'temperature of the air behind the reheat coil, with the valve fed and not'

/** Valve that sends hot gas through a second coil, so that air is dried without being cooled as much. */
export const reheatValve = solenoid({
  kind: 'reheat-valve',
  words: 'reheat valve',
  cause: 'charge',
  va: 8,
  ohms: 20,
  seatFaults: [
    staysShut('fed, and does not open', 0.6, { cause: 'stuck, or its pilot blocked', prove }),
    staysOpen('does not shut again', 0.6, { cause: 'stuck, or dirt on its seat', prove }),
  ],
})
