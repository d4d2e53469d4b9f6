import { complex, polar } from '../electric/complex'
import { alternatingSource, opened, resistance } from '../electric/law'
import { fixed } from './contact'
import { opens, sticks } from './fault'
import type { Branch, PartKind } from './kind'

interface Leg {
  readonly name: string
  /** Share of the nominal leg-to-leg volts, leg to neutral. */
  readonly share: number
  readonly degrees: number
}

interface System {
  /** Of one leg alone: to neutral. */
  readonly legToLegVolts: number
  readonly legs: readonly Leg[]
  /** Nothing of it is bonded to ground: what its wires leak decides how its legs stand. */
  readonly floats?: true
}

const third = 1 / Math.sqrt(3)
const wye = (legToLegVolts: number): System => ({
  legToLegVolts,
  legs: [
    { name: 'L1', share: third, degrees: 0 },
    { name: 'L2', share: third, degrees: -120 },
    { name: 'L3', share: third, degrees: 120 },
  ],
})

const oneLeg = (toNeutralVolts: number): System => ({
  legToLegVolts: toNeutralVolts,
  legs: [{ name: 'L1', share: 1, degrees: 0 }],
})

/** One leg is at ground, and a live conductor all the same; degrees of the other two against it. */
const cornerGrounded = (
  legToLegVolts: number,
  others: Readonly<Partial<Record<'L1' | 'L2' | 'L3', number>>>,
): System => ({
  legToLegVolts,
  legs: (['L1', 'L2', 'L3'] as const).map((name) => {
    const degrees = others[name]
    return { name, share: degrees === undefined ? 0 : 1, degrees: degrees ?? 0 }
  }),
})

/** The building systems a unit is fed from, angles against the neutral. */
export const systems: Readonly<Record<string, System>> = {
  '120/240': {
    legToLegVolts: 240,
    legs: [
      { name: 'L1', share: 0.5, degrees: 0 },
      { name: 'L2', share: 0.5, degrees: 180 },
    ],
  },
  '208Y/120': wye(208),
  '208Y/120 one leg pair': { legToLegVolts: 208, legs: wye(208).legs.slice(0, 2) },
  '120 one leg': oneLeg(120),
  '277 one leg': oneLeg(277),
  '240 high leg': {
    legToLegVolts: 240,
    legs: [
      { name: 'L1', share: 0.5, degrees: 0 },
      { name: 'L2', share: Math.sqrt(3) / 2, degrees: -90 },
      { name: 'L3', share: 0.5, degrees: 180 },
    ],
  },
  '240 delta': { ...wye(240), floats: true },
  '240 delta, L1 grounded': cornerGrounded(240, { L2: 0, L3: -60 }),
  '240 delta, L2 grounded': cornerGrounded(240, { L3: 0, L1: -60 }),
  '240 delta, L3 grounded': cornerGrounded(240, { L1: 0, L2: -60 }),
  '480Y/277': wye(480),
  '575Y/332': wye(575),
}

/** A system of supply as a meter finds it: volts leg to leg, and of each leg to ground. */
export interface SupplySystem {
  readonly name: string
  readonly legToLegVolts: number
  readonly toGroundVolts: readonly number[]
  readonly floats: boolean
}

/** Systems with as many legs as the named one, itself first. */
export function systemsLike(name: string): readonly SupplySystem[] {
  const count = systemOf(name).legs.length
  return [name, ...Object.keys(systems).filter((other) => other !== name)]
    .filter((other) => systems[other].legs.length === count)
    .map((other) => {
      const { legToLegVolts, legs, floats = false } = systems[other]
      const toGroundVolts = legs.map(({ share }) => share * legToLegVolts)
      return { name: other, legToLegVolts, toGroundVolts, floats }
    })
}

const systemOf = (name: string): System => {
  const system = systems[name]
  if (!system) throw new TypeError(`supply “${name}” is not known; known: ${Object.keys(systems).join(', ')}`)
  return system
}

/**
 * What the wires of a building leak to ground, ohms: it holds a supply that nothing bonds, and feeds no
 * fault.
 */
const leakOhms = 20_000
/** Ohms of a conductor between the service and the unit's terminals. */
const conductorOhms = 0.01
/**
 * The metal of a unit stands on steel, pipe and duct: where its green wire is open, that is all that earths it,
 * too little to open a breaker.
 */
const steelOhms = 5

/**
 * The building's legs behind their source impedance. Earth is three things: the neutral `N` that brings load current
 * back, the ground bar `G` that is bonded to it at the service and brings back none, and the metal of the unit.
 */
export const supply: PartKind = {
  kind: 'supply',
  words: 'building supply',
  cause: 'disconnect',
  symbol: 'source',
  nominalVolts: (s) => systemOf(s.text('system')).legToLegVolts,
  poles: (s) => {
    const { legs, floats } = systemOf(s.text('system'))
    const toNeutral = floats ? [] : legs.filter(({ share }) => share > 0)
    return [
      ...legs.flatMap((a, k) => legs.slice(k + 1).map((b) => [a.name, b.name] as const)),
      ...toNeutral.map(({ name }) => [name, 'N'] as const),
    ]
  },
  settings: { system: '208Y/120', ohms: 0.02 },
  terminals: (s) => [
    ...systemOf(s.text('system')).legs.map((leg) => ({
      name: leg.name,
      words: `supply leg ${leg.name.slice(1)}`,
    })),
    { name: 'N', words: 'supply neutral' },
    { name: 'G', words: 'supply ground bar' },
  ],
  branches: (s, conditions) => {
    const system = systemOf(s.text('system'))
    const volts = conditions.supplyVolts ?? system.legToLegVolts
    const ohms = complex(s.number('ohms'), s.number('ohms'))
    const source = (leg: Leg) => alternatingSource(polar(volts * leg.share, leg.degrees), ohms)
    const swapped: Readonly<Record<string, string>> = { L2: 'L3', L3: 'L2' }
    return [
      ...system.legs.map((leg): Branch => ({
        name: leg.name,
        from: leg.name,
        to: '~star',
        role: 'source',
        rest: 'live',
        states: {
          live: source(leg),
          dead: opened,
          swapped: source(system.legs.find((other) => other.name === (swapped[leg.name] ?? leg.name)) ?? leg),
        },
      })),
      fixed('neutral', 'N', '~star', 'conductor', resistance(conductorOhms)),
      fixed('bond', 'G', '~star', 'conductor', resistance(system.floats ? leakOhms : conductorOhms)),
      fixed('steel', system.floats ? 'G' : '~star', 'EARTH', 'conductor', resistance(steelOhms)),
    ]
  },
  faults: (s) => {
    const { legs } = systemOf(s.text('system'))
    const isThreePhase = legs.length === 3
    return [
      ...legs.map((leg) =>
        sticks(`${leg.name}-lost`, [leg.name], 'dead', `leg ${leg.name} lost in the building supply`, 1.5, {
          class: 'supply',
          ...(isThreePhase && { countedWith: 'phase' as const }),
          cause: 'a fuse or connection upstream',
        }),
      ),
      sticks(
        'off',
        legs.map((leg) => leg.name),
        'dead',
        'supply off at the building panel',
        3,
        { class: 'off', cause: 'somebody switched it off: find out who and why' },
      ),
      opens('neutral', 'neutral open in the building supply', 0.4, { class: 'supply' }),
      ...(isThreePhase
        ? [
            sticks('reversed', ['L2', 'L3'], 'swapped', 'two legs of the supply exchanged', 0.5, {
              class: 'supply',
              countedWith: 'phase',
              cause: 'work on the building switchgear',
            }),
          ]
        : []),
    ]
  },
}
