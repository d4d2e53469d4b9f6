import { resistanceHeater } from './resistanceHeater'

/** Keeps liquid out of a compressor's oil while it rests. */
export const crankcaseHeater = resistanceHeater('crankcase-heater', 'crankcase heater', 'compressor', 50)
