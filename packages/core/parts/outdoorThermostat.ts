import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'
import { feelsTemperature, temperatureFelt, touchEffects, untouched } from './touch'

/** Degrees between closing and opening again, °F. */
const differential = 5

/** Outdoor thermostat of electric heat: closes on a fall below its setting, so that heat is only added in the cold. */
export const outdoorThermostat: PartKind = {
  kind: 'outdoor-thermostat',
  words: 'outdoor thermostat',
  cause: 'heat-switching',
  symbol: 'limit',
  likelier: ['cold-weather'],
  dials: { closesBelow: { words: 'closes below', unit: '°F' } },
  settings: { closesBelow: 35, reads: 'outdoorDryBulb', ...untouched },
  terminals: () => [
    { name: '1', words: 'outdoor thermostat in' },
    { name: '2', words: 'outdoor thermostat out' },
  ],
  branches: () => [contact('contact', '1', '2', 'closed')],
  behave: (now) => {
    const closesBelow = now.settings.number('closesBelow')
    const turningPoint = now.is.contact === 'closed' ? closesBelow + differential : closesBelow
    return { contact: position(temperatureFelt(now, closesBelow - 1) < turningPoint) }
  },
  faults: () => [
    opens('contact', 'outdoor thermostat open when it should be closed', 1.2, {
      prove: 'cool it, or join across it for a moment with the outdoor temperature below its setting',
    }),
    sticks('stuck', ['contact'], 'closed', 'outdoor thermostat stuck closed', 0.4),
  ],
  touched: touchEffects,
  feels: feelsTemperature,
  testBridge: 'momentary',
}
