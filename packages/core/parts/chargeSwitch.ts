import { protectiveSwitch } from './protectiveSwitch'

/** Loss-of-charge switch in the liquid line, psig. */
export const chargeSwitch = protectiveSwitch({
  kind: 'charge-switch',
  cause: 'charge',
  words: 'loss-of-charge switch',
  symbol: 'pressure',
  testBridge: 'never',
  guard: true,
  openPrior: 0.5,
  watch: { reads: 'liquidPressure', opensAt: 7, closesAt: 22 },
  trip: { words: 'loss-of-charge switch open', prior: 1.5, cause: 'charge lost' },
})
