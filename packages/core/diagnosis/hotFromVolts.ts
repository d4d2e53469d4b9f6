/** From this many volts to common a stop is on the hot side of its load. */
export const hotFromVolts = 2
