import { amps, millivolts } from './inputs'
import { atParts, polesOf } from './unitPlaces'
import { benchTool, shown } from './tool'

/** Shop rule: from here on a pole is watched, and from there replaced, millivolts. */
const watchFrom = 100
const replaceFrom = 300
/** A pole this many times the best of them is worn out, once it drops anything to speak of. */
const worstAgainstBest = 2
const leastForCompare = 30

export const poleDrop = benchTool({
  id: 'pole-drop',
  title: 'Contactor: keep, watch, replace',
  group: 'Contactor and relay',
  use: 'Millivolts across each closed pole under load: is this contactor worth keeping?',
  source: 'Shop rule: above 100 mV watch; above 300 mV, or twice the best pole, replace',
  caution:
    'Volts first: a pole that is open has the whole line across it. Millivolts only where it is closed.',
  example: { drop1: 40, drop2: 42, drop3: 350, load: 16 },
  inputs: { drop1: millivolts('Pole 1'), drop2: millivolts('Pole 2') },
  extras: { drop3: millivolts('Pole 3'), load: amps('Amps through it') },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const poles = part.kind.symbol === 'coil' ? polesOf(part) : []
      return poles.length >= 2
        ? {
            known: {},
            readings: Object.fromEntries(
              poles.slice(0, 3).map(([from, to], k) => [`drop${k + 1}`, { meter: 'millivolts', from, to }]),
            ),
          }
        : null
    }),
  find: ({ drop1, drop2, drop3, load }) => {
    const drops = [drop1, drop2, drop3].filter((drop) => drop !== undefined)
    const worst = Math.max(...drops)
    const best = Math.min(...drops)
    const pole = drops.indexOf(worst) + 1
    const isUneven = worst > leastForCompare && worst > worstAgainstBest * best
    const lines = [
      { what: 'Worst pole', value: `${pole}: ${shown(worst, 'mV', 0)}` },
      { what: 'Best pole', value: shown(best, 'mV', 0) },
      ...(load === undefined
        ? []
        : [{ what: `Heat at pole ${pole}`, value: shown((worst / 1000) * load, 'W') }]),
    ]
    if (worst > replaceFrom) return { level: 'act', words: `Replace it: pole ${pole} is burnt.`, lines }
    if (isUneven)
      return {
        level: 'act',
        words: `Replace it: pole ${pole} drops more than twice the best.`,
        lines,
      }
    return worst > watchFrom
      ? { level: 'watch', words: 'Watch it: note the drop and read it on the next visit.', lines }
      : { level: 'good', words: 'Keep it: every pole is sound.', lines }
  },
})
