import { protectiveSwitch } from './protectiveSwitch'

/** Contact of a motor's overload relay; per cent of its thermal rating. */
export const motorOverload = protectiveSwitch({
  kind: 'motor-overload',
  cause: 'fan-motor',
  words: 'motor overload contact',
  symbol: 'limit',
  testBridge: 'never',
  guard: true,
  openPrior: 0.6,
  watch: { reads: 'overloadHeat', opensAt: 100, closesAt: 60 },
  trip: {
    words: 'motor overload tripped',
    prior: 1.6,
    cause: 'a lost leg, a tight bearing, a wrong setting',
    clears: ['reset'],
  },
})
