import type { Diagram, Part } from '../diagram/diagram'
import { ratedVolts, volts } from './inputs'
import { benchTool, percent, shown, type BenchPlace } from './tool'
import { atParts, secondaryOf, settingOf, tapsOf } from './unitPlaces'
import { wireAt } from '../diagram/wireAt'

/** Primary taps of control transformers in the trade, volts. */
const taps = [120, 208, 230, 240, 277, 480] as const
/** Secondary with nothing on it, above rated: regulation of 40 to 75 VA, about a tenth. */
const regulation = 0.1
/** A tap explains a secondary that it predicts this well. */
const sameShare = 0.03

/** Secondary volts with nothing on it, of a transformer on a tap. */
export const noLoadSecondary = (supply: number, tap: number, rated: number): number =>
  (supply / tap) * rated * (1 + regulation)

/** The other end of the wire at a terminal: the supply is read there, whichever tap the lead is really on. */
function feedingEnd(diagram: Diagram, terminal: string): string {
  const wire = wireAt(diagram, terminal)
  return wire ? (wire.from === terminal ? wire.to : wire.from) : terminal
}

/** Where the winding that is fed, and the secondary, of a transformer with taps are read. */
function windingsOf(diagram: Diagram, part: Part): BenchPlace['readings'] | null {
  const { id, kind, settings } = part
  const taps = tapsOf(part)
  const secondary = secondaryOf(part)
  const primary = kind.pairs?.(settings).find(([, to]) => taps.includes(to) && wireAt(diagram, `${id}.${to}`))
  if (!primary || !secondary) return null
  const [common, tap] = primary.map((name) => feedingEnd(diagram, `${id}.${name}`))
  return { supply: { meter: 'volts', from: common, to: tap }, secondary: { meter: 'volts', ...secondary } }
}

export const transformerTap = benchTool({
  id: 'transformer-tap',
  title: 'Transformer: which tap?',
  group: 'Transformer',
  use: 'The secondary is low or high with nothing on it: is the primary on the tap for this supply?',
  source: 'Secondary with no load = supply / tap × rated × 1.1 (regulation of small transformers 8–12 %)',
  example: { supply: 208, secondary: 23.9 },
  inputs: {
    supply: volts('Volts at the primary'),
    secondary: volts('Secondary, nothing on it'),
  },
  extras: { rated: ratedVolts('Rated secondary', 24) },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const windings = windingsOf(diagram, part)
      return windings && { known: { rated: settingOf(part, 'secondary') }, readings: windings }
    }),
  check: ({ supply, secondary }) => [
    ...(supply < 90
      ? [{ input: 'supply', message: 'the primary has hardly any volts: find out why first' }]
      : []),
    ...(secondary < 5
      ? [{ input: 'secondary', message: 'the secondary is dead: read its windings instead' }]
      : []),
  ],
  find: ({ supply, secondary, rated = 24 }) => {
    const on = taps.reduce((best, tap) =>
      Math.abs(noLoadSecondary(supply, tap, rated) - secondary) <
      Math.abs(noLoadSecondary(supply, best, rated) - secondary)
        ? tap
        : best,
    )
    const right = taps.reduce((best, tap) => (Math.abs(tap - supply) < Math.abs(best - supply) ? tap : best))
    const fits = Math.abs(noLoadSecondary(supply, on, rated) / secondary - 1) < sameShare
    const lines = [
      { what: `Expected on the ${on} V tap`, value: shown(noLoadSecondary(supply, on, rated), 'V', 2) },
      { what: `Expected on the ${right} V tap`, value: shown(noLoadSecondary(supply, right, rated), 'V', 2) },
      { what: 'Read', value: `${shown(secondary, 'V')}, ${percent(secondary / rated)} of rated` },
    ]
    if (!fits)
      return {
        level: 'act',
        words: 'No tap explains this: turns shorted, or something is still on it.',
        lines,
      }
    return on === right
      ? { level: 'good', words: `It reads like the ${on} V tap, and that is the one for this supply.`, lines }
      : {
          level: 'act',
          words: `It reads like the ${on} V tap; this supply needs the ${right} V tap.`,
          lines,
        }
  },
})
