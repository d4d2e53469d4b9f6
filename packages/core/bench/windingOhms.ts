import { valueWords } from '../physics/displayUnits'
import { fahrenheit, ohms } from './inputs'
import { atParts } from './unitPlaces'
import { benchTool, percent, shown } from './tool'

/** Resistance of copper rises by so much a degree Fahrenheit from 77 °F. */
const copperPerDegree = 0.00393 / 1.8
const roomFahrenheit = 77
/** Legs of a whole motor are within so much of each other; leads and clips count for more in small ones. */
const evenWithin = 0.05
const leadsOhms = 0.2

export const windingOhms = benchTool({
  id: 'winding-ohms',
  title: 'Windings leg to leg, ohms',
  group: 'Motors and capacitors',
  use: 'It hums, trips or draws unevenly: are its three windings alike?',
  source: 'Whole windings are alike within a few per cent; copper gains 0.39 % a °C',
  caution: 'Isolated and proven dead, its leads off. Never while a compressor is in vacuum.',
  example: { ohms12: 0.62, ohms23: 0.6, ohms31: 0.31 },
  inputs: { ohms12: ohms('T1 to T2'), ohms23: ohms('T2 to T3'), ohms31: ohms('T3 to T1') },
  extras: { winding: fahrenheit('Winding temperature', roomFahrenheit) },
  places: (diagram) =>
    atParts(diagram, ({ id, kind, settings }) => {
      const [a, b, c] = kind.terminals(settings).map(({ name }) => `${id}.${name}`)
      return kind.threePhase && kind.symbol === 'motor'
        ? {
            known: {},
            readings: {
              ohms12: { meter: 'ohms', from: a, to: b },
              ohms23: { meter: 'ohms', from: b, to: c },
              ohms31: { meter: 'ohms', from: c, to: a },
            },
          }
        : null
    }),
  find: ({ ohms12, ohms23, ohms31, winding = roomFahrenheit }, units) => {
    const legs = [ohms12, ohms23, ohms31]
    const atRoom = legs.map((value) => value / (1 + copperPerDegree * (winding - roomFahrenheit)))
    const lines = ['T1–T2', 'T2–T3', 'T3–T1'].map((what, k) => ({
      what: `${what} at ${valueWords(roomFahrenheit, '°F', units)}`,
      value: shown(atRoom[k], 'Ω', 2),
    }))
    const open = legs.filter((value) => value === Infinity).length
    if (open === 2)
      return {
        level: 'act',
        words: `The winding at T${windingBetweenOpen(legs)} is open, or its lead inside.`,
        lines,
      }
    if (open > 0)
      return {
        level: 'act',
        words: 'Open inside: the protector, if the motor is hot; else the windings.',
        lines,
      }
    const mean = legs.reduce((sum, value) => sum + value, 0) / legs.length
    const apart = Math.max(...legs) - Math.min(...legs)
    const share = mean > 0 ? apart / mean : 0
    const spread = [...lines, { what: 'Apart', value: percent(share) }]
    return apart > evenWithin * mean + leadsOhms
      ? { level: 'act', words: 'The windings differ: turns joined, or a joint inside.', lines: spread }
      : {
          level: 'good',
          words: 'The windings are alike. Ohms to ground are another question.',
          lines: spread,
        }
  },
})

/** The terminal that both open pairs have in common. */
const windingBetweenOpen = ([ohms12, ohms23]: readonly number[]): number =>
  ohms12 === Infinity ? (ohms23 === Infinity ? 2 : 1) : 3
