import type { CauseGroup } from './causeGroup'
import { coilBranch } from './coil'
import { shorts, opens } from './fault'
import type { PartKind } from './kind'

/** A valve that a coil opens; terminals `1` (call side), `2` (common). */
export const solenoid = (
  kind: string,
  words: string,
  cause: CauseGroup,
  va: number,
  ohms: number,
): PartKind => ({
  kind,
  words,
  cause,
  symbol: 'valve',
  lookWords: () => ['open-drawn', 'shut'],
  settings: { volts: 24, va, ohms },
  terminals: () => [
    { name: '1', words: `${words}, call side` },
    { name: '2', words: `${words}, common side` },
  ],
  branches: (s) => [coilBranch('coil', '1', '2', s.number('volts'), s.number('va'), s.number('ohms'))],
  senses: () => ({ volts: ['coil'], steps: { coil: [] } }),
  faults: () => [
    opens('coil', `${words} coil open`, 1.5, { prove: 'ohms across the coil, a lead off' }),
    shorts('coil-shorted', 'coil', 0.5, `${words} coil shorted inside`, 0.8, {
      prove: 'ohms across the coil, a lead off',
    }),
  ],
  looks: (now) => [now.volts.coil.size > 0.8 * now.settings.number('volts') ? 'open-drawn' : 'shut'],
})
