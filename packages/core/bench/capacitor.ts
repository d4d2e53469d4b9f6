import { amps, hertz, microfarads, volts } from './inputs'
import { atParts, settingOf } from './unitPlaces'
import { wireAt } from '../diagram/wireAt'
import { benchTool, percent, shown } from './tool'

/** Microfarads from the current through a capacitor and the volts across it. */
export const microfaradsOf = (load: number, across: number, frequency: number): number =>
  (load * 1e6) / (2 * Math.PI * frequency * across)

/** Plates are within six per cent. */
const tolerance = 0.06

export const capacitor = benchTool({
  id: 'capacitor',
  title: 'Run capacitor under load',
  group: 'Motors and capacitors',
  use: 'The motor runs: amps in the start lead and volts across the capacitor say what it still has.',
  source: 'µF = amps × 10⁶ / (2π · f · volts); plate ± 6 %',
  caution: 'Up to 450 V across it while it runs, and it holds its charge: discharge it before it is touched.',
  example: { load: 6.4, across: 372, plate: 50 },
  inputs: {
    load: amps('Amps in the start lead'),
    across: volts('Volts across the capacitor'),
    plate: microfarads('On its plate'),
  },
  extras: { frequency: hertz('Frequency', 60) },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const plate = settingOf(part, 'microfarads')
      const [first, second] = part.kind.terminals(part.settings).map(({ name }) => `${part.id}.${name}`)
      const start = wireAt(diagram, second)
      return plate === undefined
        ? null
        : {
            readings: {
              across: { meter: 'volts', from: first, to: second },
              ...(start ? { load: { meter: 'amps', from: start.from, to: start.to } } : {}),
            },
            known: { plate },
          }
    }),
  check: ({ across }) =>
    across < 50
      ? [{ input: 'across', message: 'there are hardly any volts across it: the motor is not running' }]
      : [],
  find: ({ load, across, plate, frequency = 60 }) => {
    const has = microfaradsOf(load, across, frequency)
    const share = has / plate - 1
    const lines = [
      { what: 'It has', value: shown(has, 'µF') },
      { what: 'Against its plate', value: `${share >= 0 ? '+' : ''}${percent(share)}` },
    ]
    if (share < -0.5)
      return { level: 'act', words: 'As good as open: replace it, and see what the motor draws then.', lines }
    if (share < -tolerance) return { level: 'act', words: 'Weak: replace it.', lines }
    return share > tolerance
      ? { level: 'act', words: 'More than its plate: the wrong one, or shorting inside. Replace it.', lines }
      : { level: 'good', words: 'Within its plate.', lines }
  },
})
