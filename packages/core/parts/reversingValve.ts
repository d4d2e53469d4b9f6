import { solenoid } from './solenoid'

/** Reversing valve of a heat pump. */
export const reversingValve = solenoid('reversing-valve', 'reversing valve', 'reversing-valve', 7, 22)
