import { amps, ohms, ratedVolts } from './inputs'
import { atParts, settingOf } from './unitPlaces'
import { benchTool, percent, shown } from './tool'

/** The two windings are in series from R to S; the meter and its clips take their part. */
const sumWithin = 0.08
const leadsOhms = 0.3
/** C to R of a motor as a share of its plate volts over its plate amps: compressors, small fans. */
const asWound = { least: 0.025, most: 0.18 } as const

export const windingOhmsSingle = benchTool({
  id: 'winding-ohms-single',
  title: 'Windings C, R and S, ohms',
  group: 'Motors and capacitors',
  use: 'A single-phase motor hums, trips or is dead: which of its windings is at fault, and which lead is which?',
  source:
    'R to S = C to R + C to S; start has more ohms than run. C to R 0.03–0.06 × volts / amps of compressors, 0.10–0.15 of small fans',
  caution:
    'Isolated and proven dead, its leads off, capacitor discharged. Never while a compressor is in vacuum.',
  example: { run: 0.7, start: 2.1, both: 2.8 },
  inputs: { run: ohms('C to R'), start: ohms('C to S'), both: ohms('R to S') },
  extras: { volts: ratedVolts('Plate volts'), plate: amps('Plate amps') },
  places: (diagram) =>
    atParts(diagram, (part) => {
      const { id, kind, settings } = part
      const names = kind.terminals(settings).map(({ name }) => name)
      if (kind.symbol !== 'motor' || !['C', 'R', 'S'].every((name) => names.includes(name))) return null
      const between = (from: string, to: string) =>
        ({ meter: 'ohms', from: `${id}.${from}`, to: `${id}.${to}` }) as const
      return {
        known: { volts: settingOf(part, 'volts'), plate: settingOf(part, 'amps') },
        readings: { run: between('C', 'R'), start: between('C', 'S'), both: between('R', 'S') },
      }
    }),
  find: ({ run, start, both, volts, plate }) => {
    const expected = volts !== undefined && plate !== undefined && plate > 0 ? volts / plate : null
    const lines = [
      { what: 'C to R and C to S together', value: shown(run + start, 'Ω', 2) },
      { what: 'R to S', value: shown(both, 'Ω', 2) },
      ...(expected === null || run === Infinity
        ? []
        : [{ what: 'C to R, of plate volts over amps', value: percent(run / expected) }]),
    ]
    const open = [run, start, both].map((each) => each === Infinity)
    if (open[0] && open[1] && !open[2])
      return {
        level: 'watch',
        words:
          'Open at C only: the inner protector. Let it cool, an hour or more, and read again before it is condemned.',
        lines,
      }
    if (open[0] && open[1])
      return { level: 'act', words: 'Everything open: a lead or plug inside is off.', lines }
    if (open[0]) return { level: 'act', words: 'The run winding is open.', lines }
    if (open[1]) return { level: 'act', words: 'The start winding is open.', lines }
    if (Math.abs(both - run - start) > sumWithin * (run + start) + leadsOhms)
      return {
        level: 'watch',
        words: 'R to S is not the two together: leads mixed up, a clip that does not bite, or turns shorted.',
        lines,
      }
    if (start < run)
      return {
        level: 'watch',
        words: 'R and S are the other way round: start has more ohms than run.',
        lines,
      }
    if (expected !== null && (run < asWound.least * expected || run > asWound.most * expected))
      return {
        level: 'watch',
        words: 'The windings agree with each other but not with the plate: turns shorted, or another motor.',
        lines,
      }
    return {
      level: 'good',
      words: 'Its windings are right. Read each to ground; then look at its capacitor and its bearings.',
      lines,
    }
  },
})
