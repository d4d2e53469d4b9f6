import { protectiveSwitch } from './protectiveSwitch'

/** Automatic limit at a heater, °F; closes again when cool. */
export const automaticLimit = protectiveSwitch({
  kind: 'automatic-limit',
  cause: 'limits',
  words: 'automatic limit',
  symbol: 'limit',
  testBridge: 'never',
  guard: true,
  breaksLine: true,
  opensDuring: 'heating',
  openPrior: 1,
  watch: { reads: 'heaterTemperature', opensAt: 170, closesAt: 130, isLocal: true },
  trip: {
    words: 'automatic limit open on heat',
    prior: 1.5,
    cause: 'no air: filter, belt, blower',
    clears: ['wait'],
  },
})
