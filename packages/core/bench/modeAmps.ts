import { amps, ratedVolts, voltAmperes } from './inputs'
import { benchTool, shown } from './tool'
import { atParts, settingOf } from './unitPlaces'

/** The calls in the order that one steps through them, each adding its branches. */
const modes = {
  off: 'off',
  fan: 'fan',
  cool1: 'cooling, first stage',
  cool2: 'cooling, second stage',
  heat1: 'heating',
  heat2: 'heating, second stage',
  emergency: 'emergency heat',
  defrost: 'defrost, forced',
} as const
type Mode = keyof typeof modes
const order = Object.keys(modes) as readonly Mode[]

/** A coil or a board draws less than this; what adds more in one call is no healthy branch. */
const leapAmps = 1.2

/** Modes × secondary amps with a stand-in for the fuse: the mode in which amps leap names the branch. */
export const modeAmps = benchTool({
  id: 'mode-amps',
  title: 'Short hunt: amps by mode',
  group: 'Short hunt',
  use: 'A fuse goes: with a resettable stand-in in its place, in which call do the amps leap?',
  caution:
    'The stand-in is rated as the fuse, never larger, and comes out again before sign-off. Trips at once: leave power off, hunt by ohms.',
  source: 'Full-load amps = VA / V; a healthy coil or board adds less than 1.2 A at 24 V',
  example: { rating: 40, secondary: 24, off: 0.2, fan: 0.4, cool1: 1, emergency: 6.5 },
  inputs: { rating: voltAmperes('Transformer'), secondary: ratedVolts('Secondary', 24) },
  extras: {
    off: amps('Off'),
    fan: amps('Fan'),
    cool1: amps('Cooling, first stage'),
    cool2: amps('Cooling, second stage'),
    heat1: amps('Heating'),
    heat2: amps('Heating, second stage'),
    emergency: amps('Emergency heat'),
    defrost: amps('Defrost, forced'),
  },
  places: (diagram) =>
    atParts(diagram, (part) =>
      part.kind.fullLoadAmps
        ? { known: { rating: settingOf(part, 'va'), secondary: settingOf(part, 'secondary') }, readings: {} }
        : null,
    ),
  find: ({ rating, secondary, ...given }) => {
    const full = rating / secondary
    const read = order.flatMap((mode) => {
      const value = given[mode]
      return value === undefined ? [] : [{ mode, value }]
    })
    const lines = [
      { what: 'Full load', value: shown(full, 'A', 2) },
      ...read.map(({ mode, value }) => ({ what: `In ${modes[mode]}`, value: shown(value, 'A', 2) })),
    ]
    const [first, ...later] = read
    if (first === undefined)
      return { level: 'watch', words: 'Step through the calls, and read the secondary in each.', lines }
    if (first.mode === 'off' && first.value > leapAmps)
      return {
        level: 'act',
        words:
          'It is there with nothing called: between the transformer, the board, the thermostat’s R and what is always fed.',
        lines,
      }
    const rest = first.value
    const leaps = later.filter(({ value }) => value - rest > leapAmps && value > full)
    const [leap] = leaps
    if (leap)
      return {
        level: 'act',
        words: `Amps leap in ${modes[leap.mode]}: hunt in what only that call feeds, section by section, power off.`,
        lines,
      }
    const over = read.filter(({ value }) => value > full)
    return over.length > 0
      ? { level: 'watch', words: 'Over its rating, with no leap: add up what it feeds.', lines }
      : {
          level: 'good',
          words:
            'No leap in these calls. Move bundles and panels while watching; then tape, separate, secure, and agree on a return check.',
          lines,
        }
  },
})
