import { protectiveSwitch } from './protectiveSwitch'

/** Low-pressure switch in a stage's string; psig of the suction side. */
export const lowPressureSwitch = protectiveSwitch({
  kind: 'low-pressure-switch',
  cause: 'charge',
  words: 'low-pressure switch',
  symbol: 'pressure',
  testBridge: 'watching-pressure',
  openPrior: 1.2,
  watch: { reads: 'suctionPressure', opensAt: 25, closesAt: 40 },
  trip: {
    words: 'low-pressure switch open on low pressure',
    prior: 3.5,
    cause: 'charge lost, a frozen coil, a closed valve or no air',
  },
})
