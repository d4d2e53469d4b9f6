import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'

/** A contact of a building controller that closes for the calls it is given. */
export const buildingRelay: PartKind = {
  kind: 'building-relay',
  words: 'building-controller relay',
  cause: 'thermostat',
  symbol: 'contact',
  calls: () => ['NO'],
  settings: { closesIn: 'cool1,cool2' },
  terminals: () => [
    { name: 'COM', words: 'common' },
    { name: 'NO', words: 'closed when called' },
  ],
  branches: () => [contact('contact', 'COM', 'NO', 'open')],
  behave: (now) => ({ contact: position(now.settings.list('closesIn').includes(now.call)) }),
  faults: () => [
    opens('contact', 'building controller does not close it', 1.2, {
      prove: 'ask the building’s operator whether it is calling; volts across the contact',
    }),
    sticks('stuck', ['contact'], 'closed', 'building controller’s relay stuck closed', 0.6),
  ],
  testBridge: 'momentary',
}
