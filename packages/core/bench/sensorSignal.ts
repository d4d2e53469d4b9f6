import { oneOfThese } from './inputs'
import { benchTool, shown, type Verdict } from './tool'

const direct = 0
const loop = 1
/** The ends of each signal, and what lies beyond them: a wire, a supply or the sensor. */
const volts = { unit: 'V dc', low: 0, high: 10, dead: -1, over: 10.6 } as const
const milliamps = { unit: 'mA', low: 4, high: 20, dead: 3.6, over: 21 } as const

const plain = (words: string) => ({ words, unit: '', least: -1000, most: 10_000 })

export const sensorSignal = benchTool({
  id: 'sensor-signal',
  title: 'Sensor by its signal',
  group: 'Economizer',
  use: 'A sensor speaks in volts or milliamps: what does it say, and is it so?',
  source:
    'Straight from the low end of its range to the high: 0–10 V, 4–20 mA. The sensor’s own label gives the range',
  example: { sort: loop, signal: 12, low: 0, high: 100, there: 52 },
  inputs: {
    sort: oneOfThese('Signal', ['0–10 V', '4–20 mA']),
    signal: { words: 'Read', unit: 'V or mA', least: 0, most: 30 },
    low: plain('Low end of its range'),
    high: plain('High end of its range'),
  },
  extras: { there: plain('What a good instrument reads beside it') },
  check: ({ low, high }) =>
    high > low ? [] : [{ input: 'high', message: 'the high end is above the low end' }],
  find: ({ sort, signal, low, high, there }): Verdict => {
    const { unit, low: from, high: to, dead, over } = sort === loop ? milliamps : volts
    const says = low + ((signal - from) / (to - from)) * (high - low)
    const lines = [
      { what: 'Signal', value: shown(signal, unit, 2) },
      { what: 'It says', value: shown(says, '') },
      ...(there === undefined ? [] : [{ what: 'Beside it', value: shown(there, '') }]),
    ]
    if (signal < dead)
      return {
        level: 'act',
        words: 'Less than a live loop carries: no supply, a lead off, the pair crossed, or the sensor dead.',
        lines: lines.slice(0, 1),
      }
    if (signal > over)
      return {
        level: 'act',
        words: 'More than it can say: shorted, or fed by another supply.',
        lines: lines.slice(0, 1),
      }
    if (sort === direct && signal < 0.05 && there !== undefined && there > low + 0.05 * (high - low))
      return { level: 'act', words: 'Nothing comes: no supply to it, a lead off, or the sensor dead.', lines }
    if (there === undefined)
      return { level: 'watch', words: `It says ${shown(says, '')}: hold a good instrument beside it.`, lines }
    return Math.abs(says - there) <= agreesWithin * (high - low)
      ? { level: 'good', words: 'It says what is so.', lines }
      : { level: 'act', words: `It lies: it says ${shown(says, '')} where it is ${shown(there, '')}.`, lines }
  },
})

/** Share of its range that a good sensor and a good instrument may be apart. */
const agreesWithin = 0.05
