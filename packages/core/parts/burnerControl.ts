import { complex, impedanceForVoltAmperes } from '../electric/complex'
import { impedance, rectified } from '../electric/law'
import { flameSenseOhms, provenFlameVolts } from '../physics/flameCurrent'
import { contact, fixed, memory, position } from './contact'
import { opens, sticks } from './fault'
import type { Delay, Now, PartKind, Phase, Wants } from './kind'
import type { Settings } from './settings'

const calledAboveVolts = 16
const watched = ['electronics', 'call', 'limit', 'draft'] as const
/** One with a second stage: its call on `W2` feeds the valve’s high-fire coil while the flame burns. */
const hasHighFire = (s: Settings): boolean => s.number('stages') > 1

/** Tries at lighting the burner before it locks out. */
const trials = ['trial1', 'trial2', 'trial3', 'trial4'] as const
/**
 * Where it is in its sequence. `refused`: its draft switch was closed before the inducer had started.
 */
const steps = ['standby', 'refused', 'purge', 'warm-up', ...trials, 'flame', 'lockout'] as const
type Step = (typeof steps)[number]

/**
 * Seconds of each step of the sequence, the middle of what is usual, and for how long it goes on without
 * power.
 */
const seconds = {
  purge: 20,
  warmUp: 20,
  trial: 6,
  blowerOn: 40,
  blowerOff: 90,
  postPurge: 15,
  holdUp: 0.5,
} as const

const stepOf = (now: Now): Step => steps.find((step) => step === now.is.sequence) ?? 'standby'
const has = (now: Now, input: (typeof watched)[number]): boolean => now.volts[input].size >= calledAboveVolts

const afterTrial = (step: (typeof trials)[number]): Step => trials[trials.indexOf(step) + 1] ?? 'lockout'

/** The step that follows from what it feels; a step that lasts is left after its time. */
function nextStep(now: Now): Step {
  const step = stepOf(now)
  if (!has(now, 'electronics') || !has(now, 'call')) return 'standby'
  if (step === 'lockout') return 'lockout'
  if (!has(now, 'limit')) return 'standby'
  const draft = has(now, 'draft')
  if (step === 'standby' || step === 'refused') return draft ? 'refused' : 'purge'
  if (!draft) return 'purge'
  const lit = now.direct.flameSense >= provenFlameVolts
  switch (step) {
    case 'purge':
      return 'warm-up'
    case 'warm-up':
      return 'trial1'
    case 'flame':
      return lit ? 'flame' : 'warm-up'
    default:
      if (lit) return 'flame'
      return now.settings.text('seen') === 'in-trial' ? step : afterTrial(step)
  }
}

const isTrial = (step: Step): boolean => trials.some((trial) => trial === step)

/** What it gives out in a step. */
const outputsIn = (step: Step): Wants => {
  const lighting = step === 'warm-up' || isTrial(step)
  const burning = step === 'flame'
  return {
    inducer: position(step === 'purge' || lighting || burning),
    igniter: position(lighting),
    valve: position(isTrial(step) || burning),
  }
}

/** Locked out it may be met while it still tried: for a minute or two after each reset or new call. */
const stillTrying = (now: Now): readonly Phase[] =>
  now.is.sequence === 'lockout'
    ? [
        { states: { sequence: 'purge', ...outputsIn('purge') }, weight: 0.2 },
        { states: { sequence: 'trial2', ...outputsIn('trial2') }, weight: 0.3 },
      ]
    : []

const troubleCodes = {
  noDraft: '2 flashes',
  draftTooSoon: '3 flashes',
  limitOpen: '4 flashes',
  lockedOut: '6 flashes',
} as const

/** The code of what keeps it from going on; null: nothing does. */
function troubleOf(now: Now): string | null {
  const step = stepOf(now)
  if (step === 'lockout') return troubleCodes.lockedOut
  if (!has(now, 'limit')) return troubleCodes.limitOpen
  if (step === 'refused') return troubleCodes.draftTooSoon
  return step === 'purge' && !has(now, 'draft') ? troubleCodes.noDraft : null
}

const delays: readonly Delay[] = [
  { branch: 'sequence', to: 'standby', seconds: seconds.holdUp },
  { branch: 'sequence', to: 'warm-up', seconds: seconds.purge },
  { branch: 'sequence', to: 'trial1', seconds: seconds.warmUp },
  ...[...trials.slice(1), 'lockout'].map((to): Delay => ({
    branch: 'sequence',
    to,
    seconds: seconds.trial,
  })),
  { branch: 'inducer', to: 'open', seconds: seconds.postPurge },
  { branch: 'blower', to: 'closed', seconds: seconds.blowerOn },
  { branch: 'blower', to: 'open', seconds: seconds.blowerOff },
]

const input = (name: string, from: string, ohms: number) =>
  fixed(name, from, 'C', 'load', impedance(complex(ohms), ohms))

/**
 * Gas control with an igniter and a flame rod. A heat call on `W` with the limit string `LI`–`LO` closed and
 * the draft switch open starts the inducer (`IND1`–`IND2`); draft proven on `PS`, it purges, warms the
 * igniter on `IG`, and feeds the gas valve from `MV` for a trial. Flame felt on `FS`, it goes on and calls
 * the blower from `BL`; none, it tries again and then locks out. One with two stages feeds high fire from `MH`
 * while the flame burns and `W2` calls too. An open limit drops the call and runs the
 * blower. Between trials it does not purge anew. It stores the code of what has stopped it last.
 */
export const burnerControl: PartKind = {
  kind: 'burner-control',
  words: 'ignition control that proves the flame',
  cause: 'gas',
  symbol: 'control',
  settings: { seen: 'settled', stages: 1 },
  terminals: (s) => [
    { name: 'R', words: 'control power' },
    { name: 'C', words: 'common' },
    { name: 'W', words: 'heat call' },
    { name: 'LO', words: 'limit string, out' },
    { name: 'LI', words: 'limit string, back' },
    { name: 'PO', words: 'draft proof, out' },
    { name: 'PS', words: 'draft proof, back' },
    { name: 'IG', words: 'igniter' },
    { name: 'MV', words: 'gas valve' },
    { name: 'FS', words: 'flame sense: 1 V DC to C for each microampere' },
    ...(hasHighFire(s)
      ? [
          { name: 'W2', words: 'second-stage heat call' },
          { name: 'MH', words: 'gas valve, high fire' },
        ]
      : []),
    { name: 'BL', words: 'blower call out' },
    { name: 'IND1', words: 'inducer feed' },
    { name: 'IND2', words: 'inducer' },
  ],
  branches: (s) => [
    fixed('electronics', 'R', 'C', 'load', impedance(impedanceForVoltAmperes(24, 4, 0.7), rectified)),
    input('call', 'W', 1500),
    fixed('limitFeed', 'R', 'LO', 'conductor', impedance(complex(0.05), 0.05)),
    input('limit', 'LI', 1800),
    fixed('draftFeed', 'LI', 'PO', 'conductor', impedance(complex(0.05), 0.05)),
    input('draft', 'PS', 1800),
    contact('inducer', 'IND1', 'IND2', 'open', 0.01),
    contact('igniter', 'R', 'IG', 'open', 0.05),
    contact('valve', 'PS', 'MV', 'open', 0.05),
    contact('blower', 'R', 'BL', 'open', 0.05),
    ...(hasHighFire(s) ? [input('call2', 'W2', 1500), contact('high', 'PS', 'MH', 'open', 0.05)] : []),
    fixed('flameSense', 'FS', 'C', 'load', impedance(complex(flameSenseOhms), flameSenseOhms)),
    memory('sequence', steps, 'standby'),
  ],
  senses: (s) => {
    const volts = hasHighFire(s) ? [...watched, 'call2'] : watched
    return {
      volts,
      steps: Object.fromEntries(volts.map((name) => [name, [calledAboveVolts]])),
      direct: ['flameSense'],
    }
  },
  behave: (now): Wants => {
    const step = stepOf(now)
    const overheated = has(now, 'electronics') && !has(now, 'limit')
    return {
      sequence: nextStep(now),
      ...outputsIn(step),
      blower: position(step === 'flame' || overheated),
      ...(hasHighFire(now.settings)
        ? { high: position(step === 'flame' && now.volts.call2.size >= calledAboveVolts) }
        : {}),
    }
  },
  start: {
    words: 'Take the call away and give it again; within a minute, while it tries to light',
    effects: [{ does: 'set', part: '', setting: 'seen', to: 'in-trial' }],
    readings: [
      { meter: 'volts', from: 'MV', to: 'C' },
      { meter: 'volts', from: 'IG', to: 'C' },
      { meter: 'dc', from: 'FS', to: 'C' },
    ],
  },
  phases: stillTrying,
  delays: () => delays,
  // a draft switch that was held made before the call is found out before the inducer starts
  startsFrom: { sequence: 'standby', ...outputsIn('standby'), blower: 'open' },
  faults: (s) => [
    opens('electronics', 'ignition control dead', 0.8),
    opens('inducer', 'ignition control does not start the inducer', 0.7),
    opens('igniter', 'ignition control does not feed the igniter', 0.6),
    opens('valve', 'ignition control does not feed the gas valve', 0.6),
    opens('flameSense', 'ignition control does not sense the flame', 0.5),
    opens('blower', 'ignition control does not call the blower', 0.6),
    ...(hasHighFire(s) ? [opens('high', 'ignition control does not feed high fire', 0.5)] : []),
    sticks('inducer-stuck', ['inducer'], 'closed', 'inducer contact stuck closed', 0.3),
  ],
  pairs: () => [['FS', 'C']],
  code: (now) => (has(now, 'electronics') ? (troubleOf(now) ?? 'steady') : 'dark'),
  stores: {
    codes: Object.values(troubleCodes),
    of: (now) => (has(now, 'electronics') ? troubleOf(now) : null),
  },
  looks: (now) => [has(now, 'electronics') ? 'lamp-on' : 'lamp-off'],
}
