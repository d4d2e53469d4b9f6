import type { CauseGroup } from './causeGroup'
import { coilBranch, ohmsAt } from './coil'
import { memory } from './contact'
import { shorts, opens, sticks } from './fault'
import type { PartFault, PartKind } from './kind'

/** It opens from this share of its rated volts. */
const opensFrom = 0.75

interface Solenoid {
  readonly kind: string
  readonly words: string
  readonly cause: CauseGroup
  readonly va: number
  readonly ohms: number
  /** What keeps it from moving, or in its place, though its coil is right. */
  readonly seatFaults: readonly PartFault[]
}

/** A valve’s seat that stays shut though its coil is fed. */
export const staysShut = (words: string, prior: number, detail: Parameters<typeof sticks>[5]): PartFault =>
  sticks('stays-shut', ['seat'], 'shut', words, prior, detail)

/** A valve’s seat that stays open though nothing feeds its coil. */
export const staysOpen = (words: string, prior: number, detail: Parameters<typeof sticks>[5]): PartFault =>
  sticks('stays-open', ['seat'], 'open', words, prior, detail)

/** A valve whose seat a coil moves; terminals `1` (call side), `2` (common). */
export const solenoid = ({ kind, words, cause, va, ohms, seatFaults }: Solenoid): PartKind => ({
  kind,
  words,
  cause,
  symbol: 'valve',
  lookWords: () => ['open-drawn', 'shut'],
  settings: { volts: 24, va, ohms },
  madeFor: { circuit: 'control', at: (volts) => ({ volts, ohms: ohmsAt(volts, 24, ohms) }) },
  moving: 'seat',
  terminals: () => [
    { name: '1', words: `${words}, call side` },
    { name: '2', words: `${words}, common side` },
  ],
  branches: (s) => [
    coilBranch('coil', '1', '2', s.number('volts'), s.number('va'), s.number('ohms')),
    memory('seat', ['shut', 'open'], 'shut'),
  ],
  senses: (s) => ({ volts: ['coil'], steps: { coil: [opensFrom * s.number('volts')] } }),
  behave: (now) => ({
    seat: now.volts.coil.size >= opensFrom * now.settings.number('volts') ? 'open' : 'shut',
  }),
  faults: () => [
    opens('coil', `${words} coil open`, 1.5, { prove: 'ohms across the coil, a lead off' }),
    shorts('coil-shorted', 'coil', 0.5, `${words} coil shorted inside`, 0.8, {
      prove: 'ohms across the coil, a lead off',
    }),
    ...seatFaults,
  ],
  looks: (now) => [now.is.seat === 'open' ? 'open-drawn' : 'shut'],
})
