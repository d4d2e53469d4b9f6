import { enthalpyBtuPerPound } from '../physics/psychrometrics'
import { fahrenheit, feet, humidity } from './inputs'
import { psychrometricChart } from './psychrometricChart'
import { atParts } from './unitPlaces'
import { benchTool, shown } from './tool'

export const changeover = benchTool({
  id: 'changeover',
  title: 'Should the economizer be open now?',
  group: 'Economizer',
  use: 'The four changeover methods for the air as it is: which would let outdoor air in?',
  source: 'ASHRAE Fundamentals, chapter 1 (enthalpy of moist air); the controller’s own setting decides',
  example: { outdoor: 58, outdoorHumidity: 70, returnAir: 75, returnHumidity: 45 },
  inputs: {
    outdoor: fahrenheit('Outdoor air'),
    outdoorHumidity: humidity('Outdoor humidity'),
    returnAir: fahrenheit('Return air'),
    returnHumidity: humidity('Return humidity'),
  },
  extras: {
    dryBulbLimit: fahrenheit('High limit, dry bulb', 75),
    altitude: feet('Altitude', 0),
  },
  places: (diagram) =>
    atParts(diagram, ({ kind, settings }) => {
      const limit = kind.dryBulbLimit?.(settings)
      return limit === undefined
        ? null
        : {
            known: { dryBulbLimit: limit },
            readings: {},
            conditions: {
              outdoor: 'outdoorDryBulb',
              outdoorHumidity: 'outdoorHumidity',
              returnAir: 'returnDryBulb',
              returnHumidity: 'returnHumidity',
            },
          }
    }),
  find: ({ outdoor, outdoorHumidity, returnAir, returnHumidity, dryBulbLimit = 75, altitude = 0 }, units) => {
    const outside = enthalpyBtuPerPound(outdoor, outdoorHumidity, altitude)
    const inside = enthalpyBtuPerPound(returnAir, returnHumidity, altitude)
    // the fixed enthalpy of energy codes: air of 75 °F and 50 %
    const fixedEnthalpy = enthalpyBtuPerPound(75, 50, altitude)
    const methods = [
      ['Fixed dry bulb', outdoor < dryBulbLimit],
      ['Differential dry bulb', outdoor < returnAir],
      ['Fixed enthalpy', outside < fixedEnthalpy],
      ['Differential enthalpy', outside < inside],
    ] as const
    const open = methods.filter(([, isOpen]) => isOpen).length
    return {
      level: 'good',
      picture: psychrometricChart(
        [
          { words: 'outdoor', fahrenheit: outdoor, percent: outdoorHumidity },
          { words: 'return', fahrenheit: returnAir, percent: returnHumidity },
        ],
        altitude,
        units,
      ),
      words:
        open === 4
          ? 'Every method lets outdoor air in.'
          : open === 0
            ? 'No method lets outdoor air in.'
            : 'The methods differ: which one the controller has decides.',
      lines: [
        { what: 'Outdoor enthalpy', value: shown(outside, 'Btu/lb', 2) },
        { what: 'Return enthalpy', value: shown(inside, 'Btu/lb', 2) },
        ...methods.map(([what, isOpen]) => ({ what, value: isOpen ? 'open' : 'shut' })),
        { what: 'Open: Y1, Y2', value: 'outdoor air alone; first compressor beside it' },
        { what: 'Shut: Y1, Y2', value: 'first compressor; second beside it, damper at minimum' },
      ],
    }
  },
})
