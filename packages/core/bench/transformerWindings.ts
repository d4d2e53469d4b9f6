import { ohms, ratedVolts, voltAmperes } from './inputs'
import { atParts, secondaryOf, settingOf } from './unitPlaces'
import { benchTool, percent, shown } from './tool'

/** Volts that a small control transformer loses at full load, half in each winding. */
const usualRegulation = 0.1
/** As wound within so much: iron, make and meter counted in. */
const lowBelow = 0.4
const highAbove = 2.5

/** Ohms of a winding of so many volts: half of the regulation, by the watts that it is for. */
export const windingOhmsFor = (volts: number, va: number): number => (usualRegulation * volts ** 2) / va / 2

export const transformerWindings = benchTool({
  id: 'transformer-windings',
  title: 'Transformer: windings',
  group: 'Transformer',
  use: 'It has its volts and gives none: which winding is open, or shorted?',
  source:
    'Ohms = regulation × volts² / VA, half in each winding (40 VA, 240 V, 10 %: about 72 Ω and 0.7 Ω). Shorted turns hide: ' +
    'an idle transformer that runs hot or takes its fuse has them whatever its ohms say',
  caution: 'Isolated and proven dead, one lead of each winding off.',
  example: { va: 40, primaryVolts: 240, primary: 71, secondary: 0.7 },
  inputs: {
    va: voltAmperes('Rating'),
    primaryVolts: ratedVolts('Volts of the tap that is used'),
    primary: ohms('Primary, common to that tap'),
    secondary: ohms('Secondary'),
  },
  extras: { secondaryVolts: ratedVolts('Rated secondary', 24) },
  places: (diagram) =>
    atParts(diagram, (part) => {
      if (!part.kind.fullLoadAmps) return null
      const known = { va: settingOf(part, 'va'), secondaryVolts: settingOf(part, 'secondary') }
      const secondary = secondaryOf(part)
      return secondary && { known, readings: { secondary: { meter: 'ohms', ...secondary } } }
    }),
  find: ({ va, primaryVolts, primary, secondary, secondaryVolts = 24 }) => {
    const windings = [
      { words: 'primary', measured: primary, wound: windingOhmsFor(primaryVolts, va) },
      { words: 'secondary', measured: secondary, wound: windingOhmsFor(secondaryVolts, va) },
    ]
    const lines = windings.flatMap(({ words, measured, wound }) => [
      { what: `Expected of the ${words}`, value: shown(wound, 'Ω') },
      { what: `Read on the ${words}`, value: shown(measured, 'Ω') },
    ])
    const open = windings.find(({ measured }) => measured === Infinity)
    if (open)
      return {
        level: 'act',
        words: `The ${open.words} is open: replace it, and find the short or the volts that took it.`,
        lines,
      }
    const low = windings.find(({ measured, wound }) => measured < lowBelow * wound && wound > 2)
    if (low)
      return {
        level: 'act',
        words: `The ${low.words} has ${percent(low.measured / low.wound, 0)} of its ohms: turns are shorted, or it is another tap.`,
        lines,
      }
    const high = windings.find(({ measured, wound }) => measured > highAbove * wound && measured > 2)
    return high
      ? {
          level: 'watch',
          words: `The ${high.words} has more ohms than it should: is it another tap, a smaller one, or a bad joint?`,
          lines,
        }
      : {
          level: 'good',
          words:
            'Both windings are there. If it gives no volts on a live primary, its fuse or thermal link is open.',
          lines,
        }
  },
})
