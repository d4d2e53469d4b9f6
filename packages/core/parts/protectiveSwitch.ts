import { contact } from './contact'
import { becomes, opens } from './fault'
import type { PartFault, PartKind, PartSymbol, TestBridge } from './kind'

interface Words {
  readonly kind: string
  readonly words: string
  readonly symbol: PartSymbol
  readonly testBridge: TestBridge
  readonly openPrior: number
  /** What opens it when nothing is wrong with the switch itself. */
  readonly trips: readonly PartFault[]
}

/** A normally closed protective switch in a control string: terminals `1` (in) and `2` (out). */
const protectiveSwitch = ({ kind, words, symbol, testBridge, openPrior, trips }: Words): PartKind => ({
  kind,
  words,
  symbol,
  settings: {},
  terminals: () => [{ name: '1', words: `${words}, in` }, { name: '2', words: `${words}, out` }],
  branches: () => [contact('contact', '1', '2', 'closed')],
  faults: () => [
    opens('contact', `${words} itself open`, openPrior),
    becomes('contact-high', 'contact', 120, `${words} makes badly`, 0.3),
    { name: 'bridged', words: `${words} bridged by somebody`, prior: 0.05, effects: [{ does: 'hold', branch: 'contact', state: 'closed' }] },
    ...trips,
  ],
  testBridge,
})

const trip = (name: string, words: string, prior: number, cause: string): PartFault => ({
  name, words, prior, cause, effects: [{ does: 'hold', branch: 'contact', state: 'open' }],
})

export const lowPressureSwitch = protectiveSwitch({
  kind: 'low-pressure-switch', words: 'low-pressure switch', symbol: 'pressure', testBridge: 'watching-pressure', openPrior: 1.2,
  trips: [trip('tripped', 'low-pressure switch open on low pressure', 3.5, 'charge lost, a frozen coil, a closed valve or no air')],
})
export const highPressureSwitch = protectiveSwitch({
  kind: 'high-pressure-switch', words: 'high-pressure switch', symbol: 'pressure', testBridge: 'never', openPrior: 0.8,
  trips: [trip('tripped', 'high-pressure switch open on high pressure', 1.8, 'dirty condenser coil, condenser fan still, overcharge')],
})
export const freezeSwitch = protectiveSwitch({
  kind: 'freeze-switch', words: 'freeze protection', symbol: 'limit', testBridge: 'never', openPrior: 0.7,
  trips: [trip('tripped', 'freeze protection open on a cold coil', 1.5, 'no air, low charge, running in the cold')],
})
export const chargeSwitch = protectiveSwitch({
  kind: 'charge-switch', words: 'loss-of-charge switch', symbol: 'pressure', testBridge: 'never', openPrior: 0.5,
  trips: [trip('tripped', 'loss-of-charge switch open', 1.5, 'charge lost')],
})
export const automaticLimit = protectiveSwitch({
  kind: 'automatic-limit', words: 'automatic limit', symbol: 'limit', testBridge: 'never', openPrior: 1,
  trips: [trip('tripped', 'automatic limit open on heat', 1.5, 'no air: filter, belt, blower')],
})
export const manualLimit = protectiveSwitch({
  kind: 'manual-limit', words: 'manual-reset limit', symbol: 'limit', testBridge: 'never', openPrior: 0.6,
  trips: [trip('tripped', 'manual-reset limit tripped', 1.8, 'overheated: find why before it is reset')],
})
export const rollout = protectiveSwitch({
  kind: 'rollout', words: 'flame rollout switch', symbol: 'limit', testBridge: 'never', openPrior: 0.5,
  trips: [trip('tripped', 'flame rollout switch tripped', 0.8, 'blocked flue or a cracked exchanger: gas and carbon monoxide')],
})
export const motorOverload = protectiveSwitch({
  kind: 'motor-overload', words: 'motor overload contact', symbol: 'limit', testBridge: 'never', openPrior: 0.6,
  trips: [trip('tripped', 'motor overload tripped', 1.6, 'a lost leg, a tight bearing, a wrong setting')],
})
