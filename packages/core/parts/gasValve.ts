import { solenoid } from './solenoid'

/** Gas valve of a burner; opens while its coil is fed. */
export const gasValve = solenoid('gas-valve', 'gas valve', 'valve', 9, 32)
