import { protectiveSwitch } from './protectiveSwitch'

/** Manual-reset limit at a heater, °F: stays open until somebody resets it. */
export const manualLimit = protectiveSwitch({
  kind: 'manual-limit',
  cause: 'limits',
  words: 'manual-reset limit',
  symbol: 'limit',
  testBridge: 'never',
  guard: true,
  breaksLine: true,
  afterTrip:
    'Isolate and find why it opened: air, filter, blower, a contact that stays made. It is not reset and run to see whether it trips again.',
  openPrior: 0.6,
  watch: { reads: 'heaterTemperature', opensAt: 210, closesAt: 120, isLocal: true },
  trip: {
    words: 'manual-reset limit tripped',
    prior: 1.8,
    cause: 'overheated: find why before it is reset',
    clears: ['reset'],
  },
})
