import { fanDesign, singlePhaseMotor } from './singlePhaseMotor'

/** A capacitor-run motor: of a fan or a small pump. */
export const capacitorFan = singlePhaseMotor(
  'capacitor-fan',
  'capacitor-run motor',
  'fan-motor',
  2.5,
  fanDesign,
)
