import { contact, position } from './contact'
import { opens, sticks } from './fault'
import type { PartKind } from './kind'
import { temperatureFelt, touchEffects, untouched } from './touch'

/** Degrees between closing and opening again, °F: frost is melted before it opens. */
const differential = 25

/**
 * Defrost thermostat on the outdoor coil: closes when the coil is cold enough to frost, and opens when it is
 * clear.
 */
export const defrostThermostat: PartKind = {
  kind: 'defrost-thermostat',
  words: 'defrost thermostat',
  cause: 'defrost',
  symbol: 'limit',
  likelier: ['cold-weather'],
  dials: { closesBelow: { words: 'closes below', unit: '°F' } },
  settings: { closesBelow: 31, reads: 'outdoorCoilTemperature', ...untouched },
  terminals: () => [
    { name: '1', words: 'defrost thermostat, in' },
    { name: '2', words: 'defrost thermostat, out' },
  ],
  branches: () => [contact('contact', '1', '2', 'open')],
  behave: (now) => {
    const closesBelow = now.settings.number('closesBelow')
    const turningPoint = now.is.contact === 'closed' ? closesBelow + differential : closesBelow
    return { contact: position(temperatureFelt(now, 77) < turningPoint) }
  },
  faults: () => [
    opens('contact', 'does not close: the coil ices over', 1.5, {
      prove: 'ohms across it with the coil iced: it should be closed',
    }),
    sticks('stuck', ['contact'], 'closed', 'stuck closed: defrosts a clear coil', 0.6),
  ],
  touched: touchEffects,
  testBridge: 'momentary',
}
