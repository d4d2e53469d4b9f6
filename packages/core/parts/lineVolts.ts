import type { PartKind } from './kind'

/** Of a part that is made for the volts of its line, and says so in its setting `volts`. */
export const forLineVolts: PartKind['madeFor'] = { circuit: 'line', at: (volts) => ({ volts }) }
