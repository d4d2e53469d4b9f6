import type { CauseGroup } from './causeGroup'
import { add, impedanceFor, multiply, polar, scale, type Complex } from '../electric/complex'
import { impedance, opened, resistance, type Law } from '../electric/law'
import { grounds, opens, turnsShorted } from './fault'
import { everyMotor, protectorOpen } from './everyMotor'
import { toFrame } from './frame'
import { protectorSeconds } from './innerProtector'
import type { Branch, Now, PartFault, PartKind, Phase, Wants } from './kind'
import { rotorBranches, rotorLooks, seized } from './rotor'
import type { Settings } from './settings'
import { coilsOf, coupledLaw, turnsInAll, type CoupledCoil, type SpeedSection } from './speedSections'

/** How a capacitor-run motor is wound, against its plate. */
export interface SinglePhaseDesign {
  /** Locked-rotor amps as a multiple of plate amps. */
  readonly lockedShare: number
  /** Resistance of the main winding, C to R, as a share of plate volts over plate amps. */
  readonly windingShare: number
  /** Weight of a winding that has gone to ground, against its other faults. */
  readonly groundedPrior: number
  /** The lead at the end of its main winding. */
  readonly run: string
  /** What lies in series with its main winding from there on, of a motor of several speeds. */
  readonly sections: readonly SpeedSection[]
}

/**
 * A compressor: 0.03–0.06 of volts over amps, four to six times its amps when locked. Its windings lie in oil
 * and acid: gone to ground is how it mostly fails.
 */
export const compressorDesign: SinglePhaseDesign = {
  lockedShare: 5,
  windingShare: 0.045,
  groundedPrior: 1.6,
  run: 'R',
  sections: [],
}
/**
 * A small fan: 0.10–0.15 of volts over amps, one and a half to two and a half times its amps when locked. Its
 * bearings go before its windings do.
 */
export const fanDesign: SinglePhaseDesign = {
  lockedShare: 2,
  windingShare: 0.12,
  groundedPrior: 0.3,
  run: 'R',
  sections: [],
}

/** Share of plate amps in the main winding; the start winding’s, ahead of it, make up the rest. */
const mainShare = 0.97
const startShare = 0.7
const runShare = 0.5
/** Share of its volts that a motor has left, running, from which on a bad joint may be what is missing. */
const droppedShare = 0.93
/** Shares of full-load amps that the windings must draw at least. */
const mainWindingShare = 0.1
const startWindingShare = 0.02

/** Times its locked-rotor amps from which its main winding must be shorted. */
const shortedFrom = 1.5

/** Contacts of a protector, ohms: little beside any winding. */
const protectorOhms = 0.005

/** Below this share of nominal nothing is on the motor, and its windings stay as they were. */
const deadShare = 0.03

/** What a motor of one design feels and does. */
function behaviour({ lockedShare, run, sections }: SinglePhaseDesign) {
  const across = `C-${run}`
  const windings = ['main', ...sections.map(({ name }) => name)]
  // through a section the main winding has the less of the line, and comes up all the same
  const share = (ofNominal: number): number => ofNominal / turnsInAll(sections)

  /** At its leads: within, nothing is on the windings while the protector is open. */
  const voltsOn = (now: Now): number => now.volts[across].size

  const isAbove = (now: Now, ofNominal: number): boolean =>
    voltsOn(now) > share(ofNominal) * now.settings.number('volts')

  const drawsAmps = (now: Now): boolean => now.amps.main.size > mainWindingShare * now.settings.number('amps')

  /** Amps of its main winding against those at a stand. */
  const timesLocked = ({ amps, settings }: Now): number =>
    amps.main.size / (lockedShare * mainShare * settings.number('amps'))

  /** Seized, with its start winding dead or its main one shorted, it hums and cannot come up. */
  const comesUp = (now: Now): boolean =>
    now.is.bearings !== 'seized' &&
    isAbove(now, now.is.rotor === 'turning' ? runShare : startShare) &&
    now.amps.start.size > startWindingShare * now.settings.number('amps') &&
    timesLocked(now) < shortedFrom

  const all = (state: string): Wants => Object.fromEntries(windings.map((winding) => [winding, state]))

  const act = (now: Now): Wants => {
    if (!isAbove(now, deadShare)) return { rotor: 'still' }
    // with its main winding open it draws next to nothing; so it does with its protector open, which stays so
    return drawsAmps(now) && comesUp(now)
      ? { rotor: 'turning', ...all('running') }
      : { rotor: 'still', ...all('stalled') }
  }

  /** What stands and draws opens on its inner protector in the end. */
  const protect = (now: Now): Wants => (drawsAmps(now) && !comesUp(now) ? { protector: 'open' } : {})

  /**
   * On full volts, seized or with its start winding dead, it hums at locked-rotor amps until its protector
   * opens, cools, and hums again: it is met either way.
   */
  const cannotStart = (now: Now): readonly Phase[] =>
    isAbove(now, startShare) && now.is.rotor === 'still' && now.is.protector === 'open'
      ? [{ states: standing, weight: 0.35 }]
      : []

  /** Held where it was, it stands at locked-rotor amps. */
  const standing = { protector: 'closed', ...all('stalled'), rotor: 'still' } as const

  /**
   * Through a bad joint it may run on and yet not come up from rest: what it draws at a stand leaves too
   * little of the volts. It hums until its protector opens, cools, and hums again.
   */
  const cannotComeUp = (now: Now): readonly Phase[] => {
    if (now.is.rotor !== 'turning' || isAbove(now, droppedShare)) return []
    const onlyIf = { states: standing, stays: (then: Now) => !isAbove(then, startShare) }
    return [
      { states: standing, weight: 0.3, onlyIf },
      { states: { ...standing, protector: 'open' }, weight: 0.35, onlyIf },
    ]
  }

  return { across, share, drawsAmps, timesLocked, act, protect, cannotStart, cannotComeUp }
}

/**
 * A capacitor-run single-phase motor; `load` is the share of its plate amps that what it turns makes it draw.
 * Main winding from `C` to its run lead, start winding `C`–`S`, the capacitor outside, between the two; its
 * inner protector lies in the common lead of both, so that with it open run to start still reads both in
 * series. The start winding draws its share through the capacitor; without it the motor stalls. Sections of
 * the main winding for lower speeds lie beyond its run lead, on the same core: a lead that nothing feeds has
 * volts too, more than the line's beyond the one that is fed.
 */
export const singlePhaseMotor = (
  kind: string,
  words: string,
  cause: CauseGroup,
  amps: number,
  design: SinglePhaseDesign,
): PartKind => {
  const { lockedShare, run, sections } = design
  const { across, share, drawsAmps, timesLocked, act, protect, cannotStart, cannotComeUp } = behaviour(design)
  return {
    kind,
    words,
    cause,
    ...everyMotor,
    lookWords: () => ['turning', 'humming', 'still'],
    settings: { volts: 208, amps, load: 1 },
    terminals: () => [
      { name: 'C', words: `${words} common` },
      { name: run, words: sections.length > 0 ? `${words} high speed` : `${words} run winding` },
      ...sections.map((section) => ({ name: section.terminal, words: `${words} ${section.words}` })),
      { name: 'S', words: `${words} start winding` },
    ],
    branches: (s) => motorBranches(s, design),
    senses: (s) => ({
      between: [['C', run]],
      amps: ['main', 'start'],
      steps: {
        [across]: [deadShare, runShare, startShare].map((of) => share(of) * s.number('volts')),
        main: [mainWindingShare * s.number('amps'), shortedFrom * lockedShare * mainShare * s.number('amps')],
        start: [startWindingShare * s.number('amps')],
      },
    }),
    behave: act,
    late: {
      opens: () => ['protector'],
      wants: protect,
      actsAfter: (now) => protectorSeconds(timesLocked(now)),
    },
    phases: (now) => [...cannotStart(now), ...cannotComeUp(now)],
    faults: (s) => motorFaults(s, words, design),
    commonTerminal: 'C',
    pairs: () => [
      ['C', run],
      ['C', 'S'],
      [run, 'S'],
      ...sections.flatMap(({ terminal }, k) => {
        const before = k === 0 ? run : sections[k - 1].terminal
        return [[before, terminal] as const, ['C', terminal] as const]
      }),
    ],
    looks: (now) => rotorLooks(now.is.rotor, drawsAmps(now)),
  }
}

const mainOhmsOf = (s: Settings, windingShare: number): number =>
  (windingShare * s.number('volts')) / s.number('amps')

function motorBranches(
  s: Settings,
  { lockedShare, windingShare, run, sections }: SinglePhaseDesign,
): readonly Branch[] {
  const volts = s.number('volts')
  const full = s.number('amps')
  const main = impedanceFor(volts, mainShare * full, 0.8)
  // what it turns decides what it draws, not what it draws at a stand
  const running = scale(main, 1 / s.number('load'))
  const stalled = scale(main, 1 / lockedShare)
  const start = add(multiply(main, polar(1.3, 0)), scale(main, 0.2))
  const mainOhms = mainOhmsOf(s, windingShare)
  const coils = coilsOf(mainOhms, sections)
  const law = (coil: CoupledCoil, own: Complex): Law =>
    sections.length > 0 ? coupledLaw(coil, coils, own) : impedance(own, mainOhms)
  const ends = ['~common', run, ...sections.map(({ terminal }) => terminal)]
  return [
    {
      name: 'protector',
      from: 'C',
      to: '~common',
      role: 'conductor',
      rest: 'closed',
      states: { closed: resistance(protectorOhms), open: opened },
    },
    ...coils.map((coil, k): Branch => ({
      name: coil.name,
      from: ends[k],
      to: ends[k + 1],
      role: 'load',
      rest: 'stalled',
      states: { running: law(coil, running), stalled: law(coil, stalled) },
    })),
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
}

const motorFaults = (
  s: Settings,
  words: string,
  { groundedPrior, windingShare, run, sections }: SinglePhaseDesign,
): readonly PartFault[] => [
  opens('main', `${words} run winding open`, 1.2, { prove: 'ohms winding by winding, leads off' }),
  ...sections.map((section) =>
    opens(section.name, `${words} winding of its ${section.words} open`, 0.3, {
      prove: 'ohms from speed to speed, leads off',
    }),
  ),
  opens('start', `${words} start winding open`, 0.6, { prove: 'ohms winding by winding, leads off' }),
  grounds(run, `${words} winding grounded`, groundedPrior, {
    prove: 'ohms to ground, leads off; never in vacuum',
    breaksDown: true,
  }),
  seized(words, 0.7, 'turn a fan by hand, power off and locked; the ohms of its windings are good'),
  turnsShorted('main', mainOhmsOf(s, windingShare), `${words} winding shorted`, 0.4),
  protectorOpen(words, 'hot or seized; it closes again when cool', ['protector']),
]
