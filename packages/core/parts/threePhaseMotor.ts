import type { CauseGroup } from './causeGroup'
import { add, complex, impedanceFor, multiply, polar, type Complex } from '../electric/complex'
import { opened, resistance, self, type Law, type Term } from '../electric/law'
import { grounds, opens, turnsShorted } from './fault'
import { everyMotor, protectorOpen } from './everyMotor'
import { toFrame } from './frame'
import type { Branch, Now, PartFault, PartKind, Phase, Wants } from './kind'
import { rotorBranches, rotorLooks, seized } from './rotor'
import type { Settings } from './settings'

/** How a three-phase motor is built, against its plate. */
export interface ThreePhaseDesign {
  readonly amps: number
  /** Amps with its legs exchanged, as a share of plate amps: it turns the other way and does little. */
  readonly backwardsShare: number
  /** How turning the other way is noticed. */
  readonly backwardsLook: 'backwards' | 'noisy'
  /** Weight of a winding that has gone to ground, against its other faults. */
  readonly groundedPrior: number
}

/** Locked-rotor amps as a multiple of full load, and its power factor. */
const lockedShare = 6
const lockedPowerFactor = 0.35
/**
 * Resistance of one winding, as a share of leg volts over amps: 0.045 of volts over amps leg to leg, through
 * two.
 */
const windingShare = (0.045 * Math.sqrt(3)) / 2
/**
 * A motor comes up only if its weakest leg pair is above this share of nominal, and stays up above the lower
 * one.
 */
const startShare = 0.7
const runShare = 0.65
/** Three legs in one order or the other: two legs alone have none. */
const orderShare = 0.3
/** Amps as a share of the plate between running and a field that turns against the rotor. */
const againstShare = 3

const third = complex(1 / 3)
const turn = polar(1, 120)
const windings = ['winding1', 'winding2', 'winding3'] as const
const legPairs = [
  ['T1', 'T2'],
  ['T2', 'T3'],
  ['T3', 'T1'],
] as const

/** Impedance that joins winding `k` to the current of winding `j`, from the sequence impedances. */
function coupling(k: number, j: number, positive: Complex, negative: Complex): Complex {
  const steps = (((j - k) % 3) + 3) % 3
  const power = (n: number): Complex => [complex(1), turn, multiply(turn, turn)][((n % 3) + 3) % 3]
  // the star point floats: no zero-sequence current flows, so its impedance is free; the negative one keeps
  // the rows well scaled
  const sum = add(add(negative, multiply(positive, power(steps))), multiply(negative, power(-steps)))
  return multiply(sum, third)
}

function law(k: number, positive: Complex, negative: Complex, directOhms: number): Law {
  const terms = windings.map((name, j): Term => ({
    of: j === k ? self : name,
    volts: complex(j === k ? 1 : 0),
    ohms: coupling(k, j, positive, negative),
  }))
  return { ac: { terms, emf: complex(0) }, dc: resistance(directOhms).dc }
}

/** Share of full-load amps below which nothing flows. */
const drawnShare = 0.02
/** Below this share of nominal nothing is on the motor, and its windings stay as they were. */
const deadShare = 0.03

const drawsAmps = ({ amps, settings }: Now, winding: string): boolean =>
  amps[winding].size > drawnShare * settings.number('amps')

/** Times its plate amps from which a winding must be shorted, by whether it turns: then it only hums. */
const shortedFrom = { turning: 5, still: 1.5 * lockedShare } as const
const isShorted = ({ amps, settings, is }: Now): boolean => {
  const most = shortedFrom[is.rotor === 'still' ? 'still' : 'turning'] * settings.number('amps')
  return windings.some((winding) => amps[winding].size > most)
}

const allWindings = (state: string): Wants => Object.fromEntries(windings.map((winding) => [winding, state]))

/** Which way the field of its three legs turns; null: two legs alone, or next to nothing. */
function fieldTurns(now: Now): 'turning' | 'backwards' | null {
  const { 'T1-T2': a, 'T2-T3': b } = now.volts
  const order = a.im * b.re - a.re * b.im
  if (Math.abs(order) < orderShare * now.settings.number('volts') ** 2) return null
  return order > 0 ? 'turning' : 'backwards'
}

const act = (now: Now): Wants => {
  const nominal = now.settings.number('volts')
  const { 'T1-T2': a, 'T2-T3': b, 'T3-T1': c } = now.volts
  const most = Math.max(a.size, b.size, c.size)
  if (most < deadShare * nominal) return { rotor: 'still' }
  // a motor that stands opens on its inner protector before anything upstream does
  if (now.is.bearings === 'seized') return { rotor: 'still', ...allWindings('off') }
  // volts at its leads move nothing while no current flows: its protector is open
  const draws = windings.some((winding) => drawsAmps(now, winding))
  const turns =
    draws &&
    !isShorted(now) &&
    (now.is.rotor === 'still'
      ? Math.min(a.size, b.size, c.size) > startShare * nominal
      : most > runShare * nominal)
  if (!turns) return { rotor: 'still', ...allWindings('stalled') }
  const rotor = fieldTurns(now) ?? (now.is.rotor === 'backwards' ? 'backwards' : 'turning')
  return { rotor, ...allWindings(rotor === 'turning' ? 'running' : 'backwards') }
}

/** Shares of its plate amps between which nothing changes for it. */
const ampsFelt = [drawnShare, againstShare, shortedFrom.turning, shortedFrom.still] as const

/** A leg that carries less than this share of the others' current is lost. */
const lostLegShare = 0.1

/**
 * With a leg lost it goes on while it turns, but does not come up from rest: mostly a contact fails while it
 * makes, so it stands and hums at locked-rotor amps, and then its protector is open.
 */
const cannotStart = (now: Now): readonly Phase[] => {
  const { amps, settings, is } = now
  const standing = (state: 'stalled' | 'off') => ({ rotor: 'still', ...allWindings(state) })
  if (is.bearings === 'seized')
    return now.volts['T1-T2'].size > startShare * settings.number('volts')
      ? [{ states: standing('stalled'), weight: 0.35 }]
      : []
  if (isShorted(now)) return [{ states: standing('off'), weight: 0.4 }]
  const currents = windings.map((winding) => amps[winding].size)
  const most = Math.max(...currents)
  const hasLegs = Math.min(...currents) > lostLegShare * most || most < drawnShare * settings.number('amps')
  if (hasLegs || is.rotor === 'still') return []
  return [
    // how much it makes of its dead leg goes with its slip: all of it running light, half of it at a stand
    { states: standing('stalled'), weight: 0.3, between: true },
    { states: standing('off'), weight: 0.4 },
  ]
}

const windingOhms = (s: Settings): number =>
  (windingShare * s.number('volts')) / Math.sqrt(3) / s.number('amps')

const motorBranches = (s: Settings, backwardsShare: number): readonly Branch[] => {
  const volts = s.number('volts') / Math.sqrt(3)
  const amps = s.number('amps')
  // what it turns decides what it draws, not what it draws at a stand
  const running = impedanceFor(volts, amps * s.number('load'), s.number('powerFactor'))
  const backwards = impedanceFor(volts, amps * backwardsShare, s.number('powerFactor'))
  const locked = impedanceFor(volts, amps * lockedShare, lockedPowerFactor)
  const directOhms = windingOhms(s)
  return windings.map((name, k): Branch => ({
    name,
    from: `T${k + 1}`,
    to: '~star',
    role: 'load',
    rest: 'stalled',
    states: {
      running: law(k, running, locked, directOhms),
      // the field that drives it is now the negative sequence of its leads
      backwards: law(k, locked, backwards, directOhms),
      stalled: law(k, locked, locked, directOhms),
      off: opened,
    },
  }))
}

const motorFaults = (s: Settings, words: string, groundedPrior: number): readonly PartFault[] => [
  seized(words, 0.8, 'locked-rotor amps in all three legs at full volts, then its protector; ohms are good'),
  ...windings.map((name, k) =>
    opens(name, `${words} winding ${k + 1} open`, 0.5, { prove: 'ohms leg to leg, leads off' }),
  ),
  ...[1, 2, 3].map((k) =>
    grounds(`T${k}`, `${words} winding grounded`, groundedPrior * (k === 1 ? 0.7 : 0.15), {
      cause: 'burnt winding',
      prove: 'ohms leg to ground, leads off; never in vacuum',
      breaksDown: true,
    }),
  ),
  ...windings.map((name, k) =>
    turnsShorted(name, windingOhms(s), `${words} winding ${k + 1} shorted`, 0.4 / windings.length),
  ),
  protectorOpen(words, 'hot: low charge, a lost leg, no condenser air; it closes again when cool', windings),
]

/**
 * Modelled by positive- and negative-sequence impedances: runs on with a leg lost, cannot start without it.
 * `load` is the share of its plate amps that what it turns makes it draw.
 */
export const threePhaseMotor = (
  kind: string,
  words: string,
  cause: CauseGroup,
  { amps, backwardsShare, backwardsLook, groundedPrior }: ThreePhaseDesign,
): PartKind => ({
  kind,
  words,
  cause,
  ...everyMotor,
  threePhase: true,
  lookWords: () => ['turning', 'humming', 'still', backwardsLook],
  settings: { volts: 208, amps, load: 1, powerFactor: 0.84 },
  terminals: () => [1, 2, 3].map((k) => ({ name: `T${k}`, words: `${words} lead ${k}` })),
  branches: (s) => [
    ...motorBranches(s, backwardsShare),
    toFrame('~star'),
    ...rotorBranches(['turning', 'backwards', 'still']),
  ],
  senses: (s) => ({
    between: legPairs,
    amps: windings,
    steps: Object.fromEntries([
      ...legPairs.map(
        ([from, to]) =>
          [
            `${from}-${to}`,
            [deadShare, runShare, startShare].map((share) => share * s.number('volts')),
          ] as const,
      ),
      ...windings.map((winding) => [winding, ampsFelt.map((share) => share * s.number('amps'))] as const),
    ]),
  }),
  behave: act,
  phases: cannotStart,
  faults: (s) => motorFaults(s, words, groundedPrior),
  pairs: () => [
    ['T1', 'T2'],
    ['T2', 'T3'],
    ['T1', 'T3'],
  ],
  looks: (now) =>
    now.is.rotor === 'backwards'
      ? [backwardsLook, 'turning']
      : rotorLooks(
          now.is.rotor,
          windings.some((winding) => now.is[winding] === 'stalled' && drawsAmps(now, winding)),
        ),
})
