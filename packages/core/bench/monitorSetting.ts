import { ratedVolts, seconds, shareOf, volts } from './inputs'
import { atParts, settingOf } from './unitPlaces'
import { benchTool, percent, shown } from './tool'
import { unbalanceOf } from './unbalance'

/** Settings of the trade, where the maker says nothing else. */
const usual = { window: 12, unbalance: 4, delay: 5 } as const

export const monitorSetting = benchTool({
  id: 'monitor-setting',
  title: 'Phase monitor: does it trip on this supply?',
  group: 'Three phases',
  use: 'Its lamp says fault, or it is being set: would these volts trip it as it is set?',
  source: 'Average within its window of the nominal, largest distance from the average within its unbalance',
  caution: 'Never joined across, not even for a test: it keeps motors from burning on two legs.',
  example: { voltsA: 203, voltsB: 209, voltsC: 212, nominal: 208 },
  inputs: {
    voltsA: volts('Volts L1–L2'),
    voltsB: volts('Volts L2–L3'),
    voltsC: volts('Volts L3–L1'),
    nominal: ratedVolts('Set for nominal'),
  },
  extras: {
    window: shareOf('Window, plus and minus', usual.window),
    unbalance: shareOf('Trips at unbalance', usual.unbalance),
    delay: seconds('Delay before it trips', usual.delay),
  },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const unbalance = settingOf(part, 'unbalance')
      const legs = ['L1', 'L2', 'L3'].map((leg) => `${part.id}.${leg}`)
      const hasLegs = legs.every((leg) => diagram.points.has(leg))
      return unbalance === undefined || !hasLegs
        ? null
        : {
            known: { nominal: settingOf(part, 'volts'), unbalance, delay: settingOf(part, 'delay') },
            readings: {
              voltsA: { meter: 'volts', from: legs[0], to: legs[1] },
              voltsB: { meter: 'volts', from: legs[1], to: legs[2] },
              voltsC: { meter: 'volts', from: legs[2], to: legs[0] },
            },
          }
    }),
  check: ({ voltsA, voltsB, voltsC }) =>
    voltsA + voltsB + voltsC === 0
      ? [{ input: 'voltsA', message: 'no leg has any volts: there is nothing to watch' }]
      : [],
  find: (given) => {
    const { voltsA, voltsB, voltsC, nominal } = given
    const { window = usual.window, unbalance = usual.unbalance, delay = usual.delay } = given
    const { mean, share } = unbalanceOf([voltsA, voltsB, voltsC])
    const off = 100 * (mean / nominal - 1)
    const lines = [
      { what: 'Average against nominal', value: `${off >= 0 ? '+' : ''}${shown(off, '%')}` },
      {
        what: 'Stays in from',
        value: `${shown(nominal * (1 - window / 100), 'V')} to ${shown(nominal * (1 + window / 100), 'V')}`,
      },
      { what: 'Unbalance', value: percent(share, 2) },
      { what: 'Trips after', value: shown(delay, 's', 0) },
    ]
    if (Math.abs(off) > 15)
      return {
        level: 'act',
        words: 'Set for another nominal than this supply: set it, or look at the supply.',
        lines,
      }
    if (Math.abs(off) > window)
      return { level: 'act', words: `It trips on ${off < 0 ? 'low' : 'high'} volts, and rightly so.`, lines }
    if (100 * share > unbalance)
      return { level: 'act', words: 'It trips on unbalance: a leg is weak or lost.', lines }
    return {
      level: 'good',
      words:
        'These volts do not trip it. If it is out all the same, turn two legs for the order, then doubt it.',
      lines,
    }
  },
})
