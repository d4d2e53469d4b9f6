import { protectiveSwitch } from './protectiveSwitch'

/** Flame rollout switch of a gas section, °F: manual reset. */
export const rollout = protectiveSwitch({
  kind: 'rollout',
  cause: 'gas',
  words: 'flame rollout switch',
  symbol: 'limit',
  testBridge: 'never',
  guard: true,
  openPrior: 0.5,
  afterTrip:
    'Isolate, and leave it isolated: flue, heat exchanger, gas pressure, carbon monoxide. It is never reset and run to see whether it trips again.',
  watch: { reads: 'burnerTemperature', opensAt: 300, closesAt: 120 },
  trip: {
    words: 'flame rollout switch tripped',
    prior: 0.8,
    cause: 'blocked flue or a cracked exchanger: gas and carbon monoxide',
    clears: ['reset'],
  },
})
