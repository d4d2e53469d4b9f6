import { resistanceHeater } from './resistanceHeater'

/** A strip-heat element. */
export const heater = resistanceHeater('heater', 'heater element', 'elements', 5000)
