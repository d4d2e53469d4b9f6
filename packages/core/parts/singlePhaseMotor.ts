import type { CauseGroup } from './causeGroup'
import { add, impedanceFor, multiply, polar, scale } from '../electric/complex'
import { impedance, opened, resistance } from '../electric/law'
import { shorts, grounds, opens } from './fault'
import { windingsFirst } from './energising'
import { toFrame } from './frame'
import { protectorSeconds } from './innerProtector'
import type { Branch, Now, PartKind, Phase, Wants } from './kind'
import { rotorBranches, rotorLooks, seized } from './rotor'

/** How a capacitor-run motor is wound, against its plate. */
export interface SinglePhaseDesign {
  /** Locked-rotor amps as a multiple of plate amps. */
  readonly lockedShare: number
  /** Resistance of the main winding, C to R, as a share of plate volts over plate amps. */
  readonly windingShare: number
  /** Weight of a winding that has gone to ground, against its other faults. */
  readonly groundedPrior: number
}

/**
 * A compressor: 0.03–0.06 of volts over amps, four to six times its amps when locked. Its windings lie in oil
 * and acid: gone to ground is how it mostly fails.
 */
export const compressorDesign: SinglePhaseDesign = { lockedShare: 5, windingShare: 0.045, groundedPrior: 1.6 }
/**
 * A small fan: 0.10–0.15 of volts over amps, one and a half to two and a half times its amps when locked. Its
 * bearings go before its windings do.
 */
export const fanDesign: SinglePhaseDesign = { lockedShare: 2, windingShare: 0.12, groundedPrior: 0.3 }

/** Share of plate amps in the main winding; the start winding’s, ahead of it, make up the rest. */
const mainShare = 0.97
const startShare = 0.7
const runShare = 0.5
/** Shares of full-load amps that the windings must draw at least. */
const mainWindingShare = 0.1
const startWindingShare = 0.02

/** Times its locked-rotor amps from which its main winding must be shorted. */
const shortedFrom = 1.5

/** Contacts of a protector, ohms: little beside any winding. */
const protectorOhms = 0.005

/** Below this share of nominal nothing is on the motor, and its windings stay as they were. */
const deadShare = 0.03

/** At its leads: within, nothing is on the windings while the protector is open. */
const voltsOn = (now: Now): number => now.volts['C-R'].size

const drawsAmps = (now: Now): boolean => now.amps.main.size > mainWindingShare * now.settings.number('amps')

/** Amps of its main winding against those at a stand. */
const timesLocked = ({ amps, settings }: Now, lockedShare: number): number =>
  amps.main.size / (lockedShare * mainShare * settings.number('amps'))

/** Seized, with its start winding dead or its main one shorted, it hums and cannot come up. */
const comesUp = (now: Now, multiple: number): boolean =>
  now.is.bearings !== 'seized' &&
  voltsOn(now) > (now.is.rotor === 'turning' ? runShare : startShare) * now.settings.number('volts') &&
  now.amps.start.size > startWindingShare * now.settings.number('amps') &&
  multiple < shortedFrom

const act = (now: Now, multiple: number): Wants => {
  if (voltsOn(now) < deadShare * now.settings.number('volts')) return { rotor: 'still' }
  // with its main winding open it draws next to nothing; so it does with its protector open, which stays so
  return drawsAmps(now) && comesUp(now, multiple)
    ? { rotor: 'turning', main: 'running' }
    : { rotor: 'still', main: 'stalled' }
}

/** What stands and draws opens on its inner protector in the end. */
const protect = (now: Now, multiple: number): Wants =>
  drawsAmps(now) && !comesUp(now, multiple) ? { protector: 'open' } : {}

/**
 * On full volts, seized or with its start winding dead, it hums at locked-rotor amps until its protector opens, cools, and hums again:
 * it is met either way.
 */
const cannotStart = (now: Now): readonly Phase[] =>
  voltsOn(now) >= startShare * now.settings.number('volts') &&
  now.is.rotor === 'still' &&
  now.is.protector === 'open'
    ? [{ states: { protector: 'closed', main: 'stalled', rotor: 'still' }, weight: 0.35 }]
    : []

/**
 * A capacitor-run single-phase motor; `load` is the share of its plate amps that what it turns makes it draw.
 * Main winding `C`–`R`, start winding `C`–`S`, the capacitor outside, between `R` and `S`; its inner
 * protector lies in the common lead of both, so that with it open `R`–`S` still reads both in series.
 * The start winding draws its share through the capacitor; without it the motor stalls.
 */
export const singlePhaseMotor = (
  kind: string,
  words: string,
  cause: CauseGroup,
  amps: number,
  { lockedShare, windingShare, groundedPrior }: SinglePhaseDesign,
): PartKind => ({
  kind,
  words,
  cause,
  symbol: 'motor',
  likelier: ['wear'],
  // over the weather of a year, and the pressure in the ducts
  drawn: { mean: -0.2, spread: 0.17 },
  bearsVolts: (s) => s.number('volts'),
  ratings: [
    ['volts', 'Volts'],
    ['amps', 'Rated amps'],
  ],
  runsAloud: true,
  lookWords: () => ['turning', 'humming', 'still'],
  beforeEnergising: windingsFirst,
  settings: { volts: 208, amps, load: 1 },
  moving: 'rotor',
  terminals: () => [
    { name: 'C', words: `${words} common` },
    { name: 'R', words: `${words} run winding` },
    { name: 'S', words: `${words} start winding` },
  ],
  branches: (s): readonly Branch[] => {
    const volts = s.number('volts')
    const full = s.number('amps')
    const main = impedanceFor(volts, mainShare * full, 0.8)
    // what it turns decides what it draws, not what it draws at a stand
    const running = scale(main, 1 / s.number('load'))
    const start = add(multiply(main, polar(1.3, 0)), scale(main, 0.2))
    const mainOhms = (windingShare * volts) / full
    return [
      {
        name: 'protector',
        from: 'C',
        to: '~common',
        role: 'conductor',
        rest: 'closed',
        states: { closed: resistance(protectorOhms), open: opened },
      },
      {
        name: 'main',
        from: '~common',
        to: 'R',
        role: 'load',
        rest: 'stalled',
        states: {
          running: impedance(running, mainOhms),
          stalled: impedance(scale(main, 1 / lockedShare), mainOhms),
        },
      },
      {
        name: 'start',
        from: '~common',
        to: 'S',
        role: 'load',
        rest: 'is',
        states: { is: impedance(start, 2.5 * mainOhms) },
      },
      toFrame('C'),
      ...rotorBranches(['turning', 'still']),
    ]
  },
  senses: (s) => ({
    between: [['C', 'R']],
    amps: ['main', 'start'],
    steps: {
      'C-R': [deadShare, runShare, startShare].map((share) => share * s.number('volts')),
      main: [mainWindingShare * s.number('amps'), shortedFrom * lockedShare * mainShare * s.number('amps')],
      start: [startWindingShare * s.number('amps')],
    },
  }),
  behave: (now) => act(now, timesLocked(now, lockedShare)),
  late: {
    opens: () => ['protector'],
    wants: (now) => protect(now, timesLocked(now, lockedShare)),
    actsAfter: (now) => protectorSeconds(timesLocked(now, lockedShare)),
  },
  phases: cannotStart,
  faults: () => [
    opens('main', `${words} run winding open`, 1.2, { prove: 'ohms winding by winding, leads off' }),
    opens('start', `${words} start winding open`, 0.6, { prove: 'ohms winding by winding, leads off' }),
    grounds('R', `${words} winding grounded`, groundedPrior, {
      prove: 'ohms to ground, leads off; never in vacuum',
      breaksDown: true,
    }),
    seized(words, 0.7, 'turn a fan by hand, power off and locked; the ohms of its windings are good'),
    shorts('main-shorted', 'main', 0.1, `${words} winding shorted`, 0.4),
    {
      name: 'protector-open',
      class: 'trip',
      words: `${words} open on its inner protector`,
      prior: 1.5,
      cause: 'hot or seized; it closes again when cool',
      clears: ['wait'],
      effects: [{ does: 'open', branch: 'protector' }],
    },
  ],
  commonTerminal: 'C',
  pairs: () => [
    ['C', 'R'],
    ['C', 'S'],
    ['R', 'S'],
  ],
  looks: (now) => rotorLooks(now.is.rotor, drawsAmps(now)),
})
