/** What the inputs of economizer controllers give their thermistors: direct volts behind a resistance. */
export const sensorFeed = { volts: 5, ohms: 10_000 } as const

/** Ohms of a sensor by the direct volts across it; infinite where all of them stand there. */
export const sensorFeedOhms = (direct: number): number =>
  direct >= sensorFeed.volts * 0.999 ? Infinity : (sensorFeed.ohms * direct) / (sensorFeed.volts - direct)
