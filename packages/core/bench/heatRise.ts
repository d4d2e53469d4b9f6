import { standardPressurePsi } from '../physics/psychrometrics'
import { amps, fahrenheit, feet, kilowatts, volts } from './inputs'
import { benchTool, shown, shownIn } from './tool'

/** Btu an hour of a watt, and of a cubic foot a minute of air by a degree at sea level. */
const btuPerWatt = 3.412
const sensibleFactor = 1.08

/** The sensible factor falls with the density of the air. */
export const sensibleFactorAt = (altitudeFeet: number): number =>
  sensibleFactor * (standardPressurePsi(altitudeFeet) / standardPressurePsi(0))

export const heatRise = benchTool({
  id: 'heat-rise',
  title: 'Airflow by the heater',
  group: 'Electric heat',
  use: 'How much air moves, from what the heater draws and how much warmer the air leaves?',
  source: 'CFM = watts × 3.412 / (1.08 × rise), 1.08 falling with altitude',
  example: { kw: 9.6, entering: 68, leaving: 95 },
  inputs: {
    kw: kilowatts('Heat'),
    entering: fahrenheit('Air before the heater'),
    leaving: fahrenheit('Air after it, out of its sight'),
  },
  extras: {
    altitude: feet('Altitude', 0),
    volts: volts('Volts, to work the heat out instead'),
    load: amps('Amps, to work the heat out instead'),
  },
  check: ({ entering, leaving }) =>
    leaving - entering < 2
      ? [{ input: 'leaving', message: 'the air leaves no warmer: nothing can be worked out from that' }]
      : [],
  find: ({ kw, entering, leaving, altitude = 0, volts: across, load }, units) => {
    const watts = across !== undefined && load !== undefined ? across * load : kw * 1000
    const rise = leaving - entering
    const air = (watts * btuPerWatt) / (sensibleFactorAt(altitude) * rise)
    return {
      level: 'good',
      words: `About ${Math.round(air)} CFM. Compare with 350 to 450 for each ton, and with the plate’s least airflow.`,
      lines: [
        { what: 'Heat', value: shown(watts / 1000, 'kW', 2) },
        { what: 'Rise', value: shownIn(units, rise, '°F', 'difference') },
        { what: 'Factor here', value: sensibleFactorAt(altitude).toFixed(3) },
      ],
    }
  },
})
