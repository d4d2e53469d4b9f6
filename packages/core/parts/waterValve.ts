import { solenoid } from './solenoid'

/** Water-valve actuator: opens while fed, closes by its spring. */
export const waterValve = solenoid('water-valve', 'water valve actuator', 'valve', 7, 60)
