import type { Diagram, Part } from '../diagram/diagram'
import type { Branch } from '../parts/kind'
import { wireAt } from '../diagram/wireAt'
import type { BenchPlace } from './tool'

const legs = ['A', 'B', 'C'] as const

/** A number of a part's settings, where it has one of that name. */
export const settingOf = ({ kind, settings }: Part, name: string): number | undefined =>
  typeof kind.settings[name] === 'number' ? settings.number(name) : undefined

const known = (entries: Readonly<Record<string, number | undefined>>): Readonly<Record<string, number>> =>
  Object.fromEntries(
    Object.entries(entries).filter((entry): entry is [string, number] => entry[1] !== undefined),
  )

/** A place at every part for which `use` gives one. */
export const atParts = (
  diagram: Diagram,
  use: (part: Part) =>
    | (Pick<BenchPlace, 'readings' | 'conditions' | 'picture'> & {
        readonly known: Readonly<Record<string, number | undefined>>
      })
    | null,
): readonly BenchPlace[] =>
  [...diagram.parts.values()].flatMap((part) => {
    const place = use(part)
    return place ? [{ ...place, part: part.id, known: known(place.known) }] : []
  })

/** The two ends of a part's branch, where it has such a one. */
export function branchEnds(
  { id, kind, settings }: Part,
  isIt: (branch: Branch) => boolean,
): { readonly from: string; readonly to: string } | null {
  const branch = kind.branches(settings, {}).find(isIt)
  return branch ? { from: `${id}.${branch.from}`, to: `${id}.${branch.to}` } : null
}

/** The ways through a part that carry its load, in order: contactor poles, the blades of a disconnect. */
export const polesOf = (part: Part): readonly (readonly [string, string])[] =>
  part.kind.breaksLine
    ? part.kind
        .branches(part.settings, {})
        .filter(({ role, from, to }) => role === 'contact' && from !== 'EARTH' && to !== 'EARTH')
        .map(({ from, to }) => [`${part.id}.${from}`, `${part.id}.${to}`] as const)
    : []

/** Terminals among which the primary lead of a transformer is landed. */
export const tapsOf = ({ kind, settings }: Part): readonly string[] =>
  kind.landings?.(settings).find(({ by }) => by.is === 'tap')?.terminals ?? []

/** The ends of a transformer’s secondary. */
export function secondaryOf(part: Part): { readonly from: string; readonly to: string } | null {
  const { id, kind, settings } = part
  const taps = tapsOf(part)
  const pair = kind.pairs?.(settings).find((names) => !names.some((name) => taps.includes(name)))
  return pair ? { from: `${id}.${pair[0]}`, to: `${id}.${pair[1]}` } : null
}

/** Volts leg to leg at the load side of a part that breaks three legs. */
export function legVolts(part: Part, prefix = 'volts'): BenchPlace['readings'] | null {
  const poles = polesOf(part)
  if (poles.length !== 3) return null
  const [a, b, c] = poles.map(([, load]) => load)
  const pairs = [
    [a, b],
    [b, c],
    [c, a],
  ] as const
  return Object.fromEntries(
    pairs.map(([from, to], k) => [`${prefix}${legs[k]}`, { meter: 'volts', from, to }]),
  )
}

/** Amps in the wires that lead to a part's terminals, where there are three. */
export function legAmps(diagram: Diagram, part: Part): BenchPlace['readings'] | null {
  if (!part.kind.threePhase) return null
  const wires = part.kind
    .terminals(part.settings)
    .flatMap(({ name }) => wireAt(diagram, `${part.id}.${name}`) ?? [])
  return wires.length === 3
    ? Object.fromEntries(wires.map(({ from, to }, k) => [`amps${legs[k]}`, { meter: 'amps', from, to }]))
    : null
}
