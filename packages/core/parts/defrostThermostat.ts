import { coldSwitch } from './coldSwitch'
import { opens, sticks } from './fault'

/**
 * Defrost thermostat on the outdoor coil: closes when the coil is cold enough to frost, and opens when the
 * frost has melted.
 */
export const defrostThermostat = coldSwitch({
  kind: 'defrost-thermostat',
  words: 'defrost thermostat',
  cause: 'defrost',
  reads: 'outdoorCoilTemperature',
  closesBelow: 31,
  differential: 25,
  unmeasured: 'open',
  faults: [
    opens('contact', 'does not close: the coil ices over', 1.5, {
      prove: 'ohms across it with the coil iced: it should be closed',
    }),
    sticks('stuck', ['contact'], 'closed', 'stuck closed: defrosts a clear coil', 0.6),
  ],
})
