import { threePhaseMotor } from './threePhaseMotor'

/** A three-phase fan or blower motor. */
export const threePhaseFan = threePhaseMotor('three-phase-fan', 'fan motor', 'fan-motor', 6)
