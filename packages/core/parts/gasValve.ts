import { solenoid } from './solenoid'

/** Gas valve of a burner; opens while its coil is fed. */
export const gasValve = solenoid('gas-valve', 'gas valve', 'gas', 9, 32)
