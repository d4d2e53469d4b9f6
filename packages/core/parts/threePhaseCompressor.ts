import { threePhaseMotor } from './threePhaseMotor'

/** A three-phase scroll compressor; backwards it runs loudly, draws little and pumps nothing. */
export const threePhaseCompressor = threePhaseMotor('three-phase-compressor', 'compressor', 'compressor', {
  amps: 14,
  backwardsShare: 0.6,
  backwardsLook: 'noisy',
  groundedPrior: 1.6,
})
