import { protectiveSwitch } from './protectiveSwitch'

/** Manual-reset limit at a heater, °F: stays open until somebody resets it. */
export const manualLimit = protectiveSwitch({
  kind: 'manual-limit',
  words: 'manual-reset limit',
  symbol: 'limit',
  testBridge: 'never',
  guard: true,
  breaksLine: true,
  openPrior: 0.6,
  watch: { reads: 'heaterTemperature', opensAt: 210, closesAt: 120 },
  trip: {
    words: 'manual-reset limit tripped',
    prior: 1.8,
    cause: 'overheated: find why before it is reset',
    clears: ['reset'],
  },
})
