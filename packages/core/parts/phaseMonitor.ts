import { impedance } from '../electric/law'
import { complex } from '../electric/complex'
import { contact, fixed, position } from './contact'
import { opens, sticks } from './fault'
import type { Now, PartKind, Phasor } from './kind'
import { forLineVolts } from './lineVolts'
import type { Settings } from './settings'

/**
 * Judges three legs: right order, no leg lost, unbalance within its setting, volts within 12 % of nominal.
 */
export function phasesAreGood(
  a: Phasor,
  b: Phasor,
  c: Phasor,
  nominalVolts: number,
  unbalancePercent: number,
): boolean {
  const average = (a.size + b.size + c.size) / 3
  if (Math.abs(average / nominalVolts - 1) > 0.12) return false
  const worst = Math.max(...[a, b, c].map((leg) => Math.abs(leg.size - average)))
  if ((100 * worst) / average > unbalancePercent) return false
  // right order: leg 1–2 is ahead of leg 2–3 by a third of a turn
  return a.re * b.im - a.im * b.re < 0
}

/** A nominal that the legs are not within: what a monitor set for other volts takes them by. */
export const otherVolts = (s: Settings): number => Math.round(1.15 * s.number('volts'))

const good = (now: Now): boolean =>
  phasesAreGood(
    now.volts.sense12,
    now.volts.sense23,
    now.volts.sense31,
    now.settings.number('volts'),
    now.settings.number('unbalance'),
  )

/** Phase monitor on the line: its contact `COM`–`NO` closes when the three legs are right. */
export const phaseMonitor: PartKind = {
  kind: 'phase-monitor',
  words: 'phase monitor',
  cause: 'phase',
  symbol: 'control',
  guard: true,
  dials: {
    volts: { words: 'set for nominal', unit: 'V' },
    unbalance: { words: 'unbalance at which it trips', unit: '%' },
    delay: { words: 'delay before it trips', unit: 's' },
  },
  settings: { volts: 208, unbalance: 4, delay: 5 },
  madeFor: forLineVolts,
  terminals: () => [
    { name: 'L1', words: 'leg 1' },
    { name: 'L2', words: 'leg 2' },
    { name: 'L3', words: 'leg 3' },
    { name: 'COM', words: 'contact, common' },
    { name: 'NO', words: 'contact, closed when the legs are right' },
  ],
  branches: () => [
    fixed('sense12', 'L1', 'L2', 'load', impedance(complex(60_000), 60_000)),
    fixed('sense23', 'L2', 'L3', 'load', impedance(complex(60_000), 60_000)),
    fixed('sense31', 'L3', 'L1', 'load', impedance(complex(60_000), 60_000)),
    contact('contact', 'COM', 'NO', 'open'),
  ],
  senses: () => ({ volts: ['sense12', 'sense23', 'sense31'] }),
  behave: (now) => ({ contact: position(good(now)) }),
  delays: (s) => [{ branch: 'contact', to: 'closed', seconds: s.number('delay') }],
  faults: (s) => [
    opens('contact', 'phase monitor’s contact does not make', 1.8, {
      prove: 'legs right, lamp good, and no volts at its outlet',
    }),
    sticks('welded', ['contact'], 'closed', 'phase monitor’s contact stuck closed', 0.2),
    {
      name: 'set-narrow',
      class: 'setting',
      words: 'set for other volts than these, or too narrow',
      prior: 0.5,
      effects: [{ does: 'set', part: '', setting: 'volts', to: otherVolts(s) }],
      cause: 'unbalance or volts dial at its end',
    },
  ],
  pairs: () => [
    ['L1', 'L2'],
    ['L2', 'L3'],
    ['L1', 'L3'],
  ],
  looks: (now) => [good(now) ? 'lamp-on' : 'lamp-off'],
  code: (now) =>
    good(now)
      ? 'steady'
      : Math.max(now.volts.sense12.size, now.volts.sense23.size, now.volts.sense31.size) <
          0.3 * now.settings.number('volts')
        ? 'dark'
        : 'flashing',
  testBridge: 'never',
}
