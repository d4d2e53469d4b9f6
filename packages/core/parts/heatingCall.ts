const heatingCalls = ['heat1', 'heat2', 'emergency', 'defrost'] as const
export type HeatingCall = (typeof heatingCalls)[number]

/** A call in which the unit makes heat. */
export const isHeatingCall = (call: string): call is HeatingCall =>
  heatingCalls.some((known) => known === call)
