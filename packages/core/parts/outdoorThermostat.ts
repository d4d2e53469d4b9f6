import { coldSwitch } from './coldSwitch'
import { opens, sticks } from './fault'
import { feelsTemperature } from './touch'

/**
 * Outdoor thermostat of electric heat: closes on a fall below its setting, so that heat is only added in the
 * cold.
 */
export const outdoorThermostat = coldSwitch({
  kind: 'outdoor-thermostat',
  words: 'outdoor thermostat',
  cause: 'heat-switching',
  reads: 'outdoorDryBulb',
  closesBelow: 35,
  differential: 5,
  unmeasured: 'closed',
  feels: feelsTemperature,
  faults: [
    opens('contact', 'outdoor thermostat open when it should be closed', 1.2, {
      prove: 'cool it, or join across it for a moment with the outdoor temperature below its setting',
    }),
    sticks('stuck', ['contact'], 'closed', 'outdoor thermostat stuck closed', 0.4),
  ],
})
