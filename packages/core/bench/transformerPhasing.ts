import { volts } from './inputs'
import type { Picture } from './picture'
import { benchTool, shown, type Verdict } from './tool'

/** How near the sum or the difference a reading must be, as a share of the sum. */
const nearShare = 0.12

/**
 * Degrees between two voltages, by the third side of their triangle; null where there is no such triangle.
 */
export function degreesBetween(first: number, second: number, between: number): number | null {
  const cosine = (first ** 2 + second ** 2 - between ** 2) / (2 * first * second)
  return Math.abs(cosine) > 1 + nearShare
    ? null
    : (180 / Math.PI) * Math.acos(Math.min(1, Math.max(-1, cosine)))
}

const arrowsOf = (first: number, second: number, degrees: number): Picture => {
  const turn = (degrees * Math.PI) / 180
  return {
    is: 'arrows',
    words: 'The two secondaries from their joined side',
    arrows: [
      { words: `First ${shown(first, 'V')}`, from: [0, 0], to: [first, 0] },
      {
        words: `Second ${shown(second, 'V')}`,
        from: [0, 0],
        to: [second * Math.cos(turn), second * Math.sin(turn)],
      },
    ],
  }
}

const told = (degrees: number): Pick<Verdict, 'level' | 'words'> => {
  if (degrees < 30)
    return { level: 'good', words: 'In phase: these two sides are alike, the others are joined already.' }
  if (degrees > 150)
    return {
      level: 'act',
      words: 'Opposite: swap the leads of one secondary, and read again before anything is joined.',
    }
  return {
    level: 'act',
    words:
      'Neither in phase nor opposite: their primaries stand on different legs. They cannot be joined as they are.',
  }
}

export const transformerPhasing = benchTool({
  id: 'transformer-phasing',
  title: 'Two transformers: in phase?',
  group: 'Transformer',
  use: 'Two secondaries are to share a common, or to work side by side: do they swing together?',
  source: 'One side of each joined: the free sides are the difference apart in phase, the sum when opposite',
  caution: 'Join one lead only, through a fuse. Never both before the free sides read the difference.',
  example: { first: 26, second: 25.4, between: 51.2 },
  inputs: {
    first: volts('First secondary'),
    second: volts('Second secondary'),
    between: volts('Between the free sides, the other two joined'),
  },
  check: ({ first, second, between }) => {
    if (first < 1 || second < 1)
      return [{ input: first < 1 ? 'first' : 'second', message: 'it gives nothing: find out why first' }]
    return between > (1 + nearShare) * (first + second)
      ? [{ input: 'between', message: 'more than both together: are the other two sides really joined?' }]
      : []
  },
  find: ({ first, second, between }) => {
    const lines = [
      { what: 'In phase it would be', value: shown(Math.abs(first - second), 'V') },
      { what: 'Opposite it would be', value: shown(first + second, 'V') },
    ]
    const degrees = degreesBetween(first, second, between)
    if (degrees === null)
      return {
        level: 'watch',
        words: 'Less than the difference: a lead does not touch, or the other two sides are not joined.',
        lines,
      }
    return {
      ...told(degrees),
      lines: [...lines, { what: 'Angle between them', value: shown(degrees, '°', 0) }],
      picture: arrowsOf(first, second, degrees),
    }
  },
})
