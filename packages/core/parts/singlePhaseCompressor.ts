import { compressorDesign, singlePhaseMotor } from './singlePhaseMotor'

/** A single-phase compressor with its run capacitor outside. */
export const singlePhaseCompressor = singlePhaseMotor(
  'single-phase-compressor',
  'compressor',
  'compressor',
  18,
  compressorDesign,
)
