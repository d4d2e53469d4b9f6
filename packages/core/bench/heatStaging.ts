import { amps, oneOfThese, seconds } from './inputs'
import { benchTool, shown, type Verdict } from './tool'

/** A sequencer’s contact closes, and opens, so long after its heater is fed or let go; stages one after another. */
const closing = { least: 30, most: 90 } as const
const opening = { least: 30, most: 110 } as const
/** Amps may be off by so much of one stage: volts, elements of a plate or two. */
const stageWithin = 0.3
const called = 0

const atMost = (stages: number, since: number, each: number): number =>
  Math.min(stages, Math.floor(since / each))

/** The fewest and the most stages that may be on so many seconds after the call came or went. */
export const stagesOn = (
  stages: number,
  since: number,
  isCalled: boolean,
): { readonly fewest: number; readonly most: number } =>
  isCalled
    ? { fewest: atMost(stages, since, closing.most), most: atMost(stages, since, closing.least) }
    : {
        fewest: stages - atMost(stages, since, opening.least),
        most: stages - atMost(stages, since, opening.most),
      }

export const heatStaging = benchTool({
  id: 'heat-staging',
  title: 'Electric heat: stages in time',
  group: 'Electric heat',
  use: 'So long after the call, how many stages should be on, and how many are?',
  source: 'Sequencers close in 30 to 90 s and open in 30 to 110 s, one stage after another',
  example: { stages: 3, each: 20.8, call: called, since: 120, read: 41 },
  inputs: {
    stages: { words: 'Stages', unit: '', least: 1, most: 6 },
    each: amps('Amps of one stage'),
    call: oneOfThese('Call', ['came', 'went']),
    since: seconds('Since then'),
    read: amps('Read now'),
  },
  check: ({ stages, each }) => [
    ...(Number.isInteger(stages) ? [] : [{ input: 'stages', message: 'stages are whole numbers' }]),
    ...(each > 0 ? [] : [{ input: 'each', message: 'a stage draws some amps: work them out first' }]),
  ],
  find: ({ stages, each, call, since, read }): Verdict => {
    const { fewest, most } = stagesOn(stages, since, call === called)
    const on = read / each
    const whole = Math.round(on)
    const lines = [
      { what: 'Should be on', value: fewest === most ? `${most}` : `${fewest} to ${most}` },
      { what: 'Are on', value: shown(on, 'stages') },
      { what: 'Amps then', value: `${shown(fewest * each, 'A')} to ${shown(most * each, 'A')}` },
    ]
    if (Math.abs(on - whole) > stageWithin)
      return {
        level: 'act',
        words: 'No whole number of stages: an element is open, or one leg of a stage is lost.',
        lines,
      }
    if (whole < fewest)
      return {
        level: 'act',
        words: `Stage ${whole + 1} has not come: its sequencer, its limit, its fuse or its element.`,
        lines,
      }
    if (whole > most)
      return {
        level: 'act',
        words:
          call === called
            ? 'More is on than can be so soon: a contact is welded, or another stage is fed.'
            : 'More is on than should be: a contact is welded, or the call is still there. The fan must not stop.',
        lines,
      }
    return { level: 'good', words: 'As it should be at this time.', lines }
  },
})
