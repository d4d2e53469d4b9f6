import { opened, resistance } from '../electric/law'
import { memory } from './contact'
import { openingSeconds, type OpeningCurve } from '../physics/fuseTimes'
import { findTheShort } from './energising'
import { makesBadly } from './fault'
import type { Branch, PartKind } from './kind'
import { overcurrentMultiple, overcurrentPosition, overcurrentSenses } from './overcurrent'
import { legToLegPairs, poleNumbers, poleTerminals } from './poles'
import type { Settings } from './settings'

/**
 * From this multiple of its rating on a link bursts with a flash; below, it sags and parts. A control
 * transformer’s own impedance lets no more than some five through.
 */
const burstsAtShare = 3

const fuseBranches = (s: Settings): readonly string[] =>
  poleNumbers(s.number('poles')).map((pole) => `fuse${pole}`)

const opensAs = (s: Settings): OpeningCurve => (s.text('delay') === 'yes' ? 'time-delay-fuse' : 'fuse')

/**
 * Fuses, one to three in a block; a control fuse has one. `amps` is the rating. With a `delay` they let a
 * motor start and a transformer fill.
 */
export const fuse: PartKind = {
  kind: 'fuse',
  words: 'fuse',
  cause: 'disconnect',
  symbol: 'fuse',
  breaksLine: true,
  comesOut: true,
  protects: (s) => (hasWindow(s) ? 'control' : 'line'),
  ratings: [
    ['amps', 'Amps'],
    ['poles', 'Poles'],
  ],
  lookWords: (s) => (hasWindow(s) ? ['whole', 'blown-sagged', 'blown-silvered'] : []),
  beforeEnergising: (fault) => (fault === 'blown' ? findTheShort : ''),
  settings: { poles: 1, amps: 3, delay: 'no' },
  terminals: (s) => poleTerminals(s.number('poles')),
  branches: (s): readonly Branch[] => [
    ...poleNumbers(s.number('poles')).map((pole): Branch => ({
      name: `fuse${pole}`,
      from: `L${pole}`,
      to: `T${pole}`,
      role: 'fuse',
      rest: 'closed',
      states: { open: opened, closed: resistance(s.number('amps') > 10 ? 0.002 : 0.03) },
    })),
    memory('link', ['whole', 'sagged', 'burst'], 'whole'),
  ],
  overcurrent: 'fuse',
  opensAs,
  senses: (s) => overcurrentSenses('fuse', fuseBranches(s), s.number('amps')),
  late: {
    opens: fuseBranches,
    wants: (now) => {
      const poles = fuseBranches(now.settings)
      const most = overcurrentMultiple(now)
      const opens = poles.some(
        (pole) => now.is[pole] === 'closed' && overcurrentPosition('fuse', now, pole) === 'open',
      )
      return {
        ...Object.fromEntries(poles.map((pole) => [pole, overcurrentPosition('fuse', now, pole)])),
        ...(opens ? { link: most >= burstsAtShare ? 'burst' : 'sagged' } : {}),
      }
    },
    actsAfter: (now) => openingSeconds(opensAs(now.settings), overcurrentMultiple(now)),
  },
  faults: (s) =>
    poleNumbers(s.number('poles')).flatMap((pole) => [
      {
        name: `fuse${pole}-open`,
        class: 'blown',
        words: s.number('poles') === 1 ? 'fuse open with no short left behind it' : `line fuse ${pole} open`,
        prior: 1.2,
        effects: [
          { does: 'hold', branch: `fuse${pole}`, state: 'open' },
          { does: 'hold', branch: 'link', state: 'sagged' },
        ],
        cause: 'age or a start too many; but look for the short before the next fuse goes in',
        prove: 'ohms across the fuse, out of its clips',
      },
      makesBadly(
        `clip${pole}-loose`,
        `fuse${pole}`,
        s.number('amps') > 10 ? 0.8 : 30,
        `fuse clip ${pole} loose or burnt`,
        0.8,
        { shows: ['burnt'] },
      ),
    ]),
  pairs: (s) => (s.number('poles') > 1 ? legToLegPairs(s.number('poles')) : []),
  // a cartridge in its block looks the same blown; only a meter tells
  looks: (now) => (hasWindow(now.settings) ? linkLooks(now.is.link) : []),
}

/** Whether the link can be seen: the small fuses of control power. */
export const hasWindow = (s: Settings): boolean => s.number('poles') === 1 && s.number('amps') <= 10

const linkLooks = (link: string): readonly string[] =>
  ({
    whole: ['whole'],
    sagged: ['blown', 'blown-sagged'],
    burst: ['blown', 'blown-silvered', 'blown-clear'],
  })[link] ?? []
