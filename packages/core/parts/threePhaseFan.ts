import { threePhaseMotor } from './threePhaseMotor'

/** A three-phase fan or blower motor; backwards it moves half the air, and draws less. */
export const threePhaseFan = threePhaseMotor('three-phase-fan', 'fan motor', 'fan-motor', {
  amps: 6,
  backwardsShare: 0.75,
  backwardsLook: 'backwards',
  groundedPrior: 0.5,
})
