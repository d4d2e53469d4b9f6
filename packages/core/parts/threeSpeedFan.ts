import { fanDesign, singlePhaseMotor } from './singlePhaseMotor'

/**
 * A capacitor-run fan of three speeds: more turns of the main winding for each lower one, some seventh and
 * some third more, which bring its amps to three quarters and a little over half.
 */
export const threeSpeedFan = singlePhaseMotor('three-speed-fan', 'three-speed fan motor', 'fan-motor', 1.2, {
  ...fanDesign,
  run: 'HI',
  sections: [
    { name: 'mediumTurns', terminal: 'MED', words: 'medium speed', turns: 0.15 },
    { name: 'lowTurns', terminal: 'LO', words: 'low speed', turns: 0.2 },
  ],
})
