import { singlePhaseMotor } from './singlePhaseMotor'

/** A capacitor-run fan motor. */
export const capacitorFan = singlePhaseMotor('capacitor-fan', 'fan motor', 'motor', 2.5)
