import { protectiveSwitch } from './protectiveSwitch'

/** High-pressure switch in a stage's string; psig of the discharge side. Never bridged. */
export const highPressureSwitch = protectiveSwitch({
  kind: 'high-pressure-switch',
  cause: 'charge',
  words: 'high-pressure switch',
  symbol: 'pressure',
  testBridge: 'never',
  guard: true,
  likelier: ['hot-weather'],
  needsFan: true,
  openPrior: 0.8,
  watch: { reads: 'dischargePressure', opensAt: 610, closesAt: 420 },
  trip: {
    words: 'high-pressure switch open on high pressure',
    prior: 1.8,
    cause: 'dirty condenser coil, condenser fan still, overcharge',
    clears: ['wait'],
  },
})
