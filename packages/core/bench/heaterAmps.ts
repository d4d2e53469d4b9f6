import type { Diagram } from '../diagram/diagram'
import { amps, kilowatts, oneOfThese, ratedVolts, volts } from './inputs'
import { atParts, legAmps, settingOf } from './unitPlaces'
import { benchTool, percent, shown, type BenchLine, type Verdict } from './tool'

/** Amps of a line with every element in, single phase or three phase balanced. */
export const lineAmps = (kw: number, rated: number, measured: number, isThreePhase: boolean): number =>
  (kw * 1000 * (measured / rated) ** 2) / measured / (isThreePhase ? Math.sqrt(3) : 1)

/** Lines that a delta bank draws, as shares of those with all three elements in. */
const deltaPatterns = [
  { words: 'every element draws', shares: [1, 1, 1], level: 'good' },
  { words: 'one element is open', shares: [1, 1 / Math.sqrt(3), 1 / Math.sqrt(3)], level: 'act' },
  {
    words: 'one line is open: its fuse, its pole or its limit',
    shares: [Math.sqrt(3) / 2, Math.sqrt(3) / 2, 0],
    level: 'act',
  },
  { words: 'two elements are open', shares: [1 / Math.sqrt(3), 1 / Math.sqrt(3), 0], level: 'act' },
  { words: 'nothing draws', shares: [0, 0, 0], level: 'act' },
] as const

/**
 * The same of a bank in wye, its star point free: an element that is open leaves the two others in series, and looks just
 * as an open line does.
 */
const wyePatterns = [
  { words: 'every element draws', shares: [1, 1, 1], level: 'good' },
  {
    words: 'one element or one line is open: full volts across the element that is',
    shares: [Math.sqrt(3) / 2, Math.sqrt(3) / 2, 0],
    level: 'act',
  },
  { words: 'nothing draws', shares: [0, 0, 0], level: 'act' },
] as const

interface Pattern {
  readonly words: string
  readonly shares: readonly number[]
  readonly level: 'good' | 'act'
}

/** How far a line may be from its pattern: plates are within a twentieth, meters a few per cent. */
const nearShare = 0.13

/** The pattern that three line currents, largest first, come nearest; null where none is near. */
export function bankPattern(
  lines: readonly number[],
  whole: number,
  connection: 'delta' | 'wye',
): Pattern | null {
  const patterns: readonly Pattern[] = connection === 'delta' ? deltaPatterns : wyePatterns
  const shares = [...lines].sort((a, b) => b - a).map((line) => line / whole)
  const far = (pattern: Pattern): number =>
    Math.max(...pattern.shares.map((share, k) => Math.abs(share - shares[k])))
  const best = patterns.reduce((near, pattern) => (far(pattern) < far(near) ? pattern : near))
  return far(best) < nearShare ? best : null
}

const placesOf = (diagram: Diagram) =>
  atParts(diagram, (part) => {
    if (part.kind.symbol !== 'heater' || !part.kind.threePhase) return null
    const readings = legAmps(diagram, part)
    const watts = settingOf(part, 'watts')
    return readings && watts !== undefined
      ? { readings, known: { kw: watts / 1000, rated: settingOf(part, 'volts') } }
      : null
  })

export const heaterThreePhase = benchTool({
  id: 'heater-three-phase',
  title: 'Electric heat, three phase',
  group: 'Electric heat',
  use: 'Three line currents of a bank: which element, fuse or line explains them?',
  source:
    'Watts go with (volts / rated)²; line = watts / (√3 · volts) with all three elements in, delta or wye',
  example: { kw: 15, rated: 240, measured: 240, ampsA: 20.8, ampsB: 36.1, ampsC: 20.8 },
  inputs: {
    kw: kilowatts('Rated'),
    rated: ratedVolts('At'),
    measured: ratedVolts('Volts now, leg to leg'),
    ampsA: amps('Line 1'),
    ampsB: amps('Line 2'),
    ampsC: amps('Line 3'),
  },
  extras: {
    connection: { ...oneOfThese('Elements are in', ['Delta', 'Wye']), usual: 0 },
  },
  places: placesOf,
  find: ({ kw, rated, measured, ampsA, ampsB, ampsC, connection = 0 }): Verdict => {
    const isWye = connection === 1
    const whole = lineAmps(kw, rated, measured, true)
    const pattern = bankPattern([ampsA, ampsB, ampsC], whole, isWye ? 'wye' : 'delta')
    const lines: readonly BenchLine[] = [
      { what: 'Each line, all elements in', value: shown(whole, 'A', 2) },
      { what: 'Each element', value: shown(isWye ? whole : whole / Math.sqrt(3), 'A', 2) },
      { what: 'Power now', value: shown(kw * (measured / rated) ** 2, 'kW', 2) },
    ]
    return pattern
      ? { level: pattern.level, words: `This is how it looks when ${pattern.words}.`, lines }
      : {
          level: 'watch',
          words:
            'No single open element or line looks like this: check the rating, and each element by ohms.',
          lines,
        }
  },
})

export const heaterSinglePhase = benchTool({
  id: 'heater-single-phase',
  title: 'Electric heat, single phase',
  group: 'Electric heat',
  use: 'Is this amperage right for this heater at these volts?',
  source: 'Watts go with (volts / rated)²',
  example: { kw: 10, rated: 240, measured: 208, load: 36.1 },
  inputs: {
    kw: kilowatts('Rated'),
    rated: ratedVolts('At'),
    measured: volts('Volts across it now'),
    load: amps('Amps'),
  },
  places: (diagram) =>
    atParts(diagram, (part) =>
      part.kind.symbol === 'heater' && !part.kind.threePhase && (settingOf(part, 'watts') ?? 0) > 500
        ? {
            readings: {},
            known: { kw: (settingOf(part, 'watts') ?? 0) / 1000, rated: settingOf(part, 'volts') },
          }
        : null,
    ),
  check: ({ measured }) =>
    measured < 20 ? [{ input: 'measured', message: 'it has no volts: find out why it is not fed' }] : [],
  find: ({ kw, rated, measured, load }) => {
    const whole = lineAmps(kw, rated, measured, false)
    const share = load / whole
    const lines = [
      { what: 'Expected now', value: shown(whole, 'A', 2) },
      { what: 'Power now', value: shown(kw * (measured / rated) ** 2, 'kW', 2) },
      { what: 'Of that', value: percent(share, 0) },
    ]
    if (share < 0.05)
      return { level: 'act', words: 'It has volts and draws nothing: the element is open.', lines }
    if (share > 1.15)
      return {
        level: 'act',
        words: 'It draws too much: turns shorted, or another element than rated.',
        lines,
      }
    if (share > 0.88) return { level: 'good', words: 'Right for these volts.', lines }
    return {
      level: 'act',
      words: 'Part of it is out: a broken element among several, or another rating.',
      lines,
    }
  },
})
