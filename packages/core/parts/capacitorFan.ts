import { fanDesign, singlePhaseMotor } from './singlePhaseMotor'

/** A capacitor-run fan motor. */
export const capacitorFan = singlePhaseMotor('capacitor-fan', 'fan motor', 'fan-motor', 2.5, fanDesign)
