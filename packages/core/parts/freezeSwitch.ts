import { protectiveSwitch } from './protectiveSwitch'

/** Freeze protection on an evaporator coil, °F. */
export const freezeSwitch = protectiveSwitch({
  kind: 'freeze-switch',
  cause: 'charge',
  words: 'freeze protection',
  symbol: 'limit',
  testBridge: 'never',
  guard: true,
  openPrior: 0.7,
  watch: { reads: 'coilTemperature', opensAt: 28, closesAt: 45, byHand: true },
  trip: {
    words: 'freeze protection open on a cold coil',
    prior: 1.5,
    cause: 'no air, low charge, running in the cold',
    clears: ['wait'],
  },
})
