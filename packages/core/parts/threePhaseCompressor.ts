import { threePhaseMotor } from './threePhaseMotor'

/** A three-phase compressor. */
export const threePhaseCompressor = threePhaseMotor('three-phase-compressor', 'compressor', 'compressor', 14)
