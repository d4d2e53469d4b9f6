import { solenoid } from './solenoid'

/** Water-valve actuator: opens while fed, closes by its spring. */
export const waterValve = solenoid('water-valve', 'water valve actuator', 'changeover', 7, 60)
