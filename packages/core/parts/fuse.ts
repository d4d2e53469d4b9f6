import { becomes, opens } from './fault'
import { opened, resistance } from '../electric/law'
import type { PartKind } from './kind'
import { fusePosition } from './overcurrent'
import { legToLegPairs, poleNumbers, poleTerminals } from './poles'

/** Fuses, one to three in a block; a control fuse has one. `amps` is the rating. */
export const fuse: PartKind = {
  kind: 'fuse',
  words: 'fuse',
  symbol: 'fuse',
  settings: { poles: 1, amps: 3 },
  terminals: (s) => poleTerminals(s.number('poles')),
  branches: (s) => poleNumbers(s.number('poles')).map((pole) => ({
    name: `fuse${pole}`, from: `L${pole}`, to: `T${pole}`, role: 'fuse', rest: 'closed',
    states: { open: opened, closed: resistance(s.number('amps') > 10 ? 0.002 : 0.03) },
  })),
  slow: true,
  senses: (s) => ({ amps: poleNumbers(s.number('poles')).map((pole) => `fuse${pole}`) }),
  behave: (now) => Object.fromEntries(
    poleNumbers(now.settings.number('poles')).map((pole) => [`fuse${pole}`, fusePosition(now, `fuse${pole}`)])),
  faults: (s) => poleNumbers(s.number('poles')).flatMap((pole) => [
    opens(`fuse${pole}`, s.number('poles') === 1 ? 'fuse open with no short left behind it' : `line fuse ${pole} open`, 2.5, {
      cause: 'age or a start too many; but look for the short before the next fuse goes in', prove: 'ohms across the fuse, out of its clips',
    }),
    becomes(`clip${pole}-loose`, `fuse${pole}`, s.number('amps') > 10 ? 0.8 : 30, `fuse clip ${pole} loose or burnt`, 0.8),
  ]),
  pairs: (s) => (s.number('poles') > 1 ? legToLegPairs(s.number('poles')) : []),
  looks: (now) => (poleNumbers(now.settings.number('poles')).some((pole) => now.is[`fuse${pole}`] === 'open') ? ['blown'] : []),
}
