import { hasWindow } from './fuse'
import type { PartKind } from './kind'
import { Settings } from './settings'

const pairs = {
  armature: ['pulled-in', 'dropped-out', 'burnt'],
  rotor: ['turning', 'still'],
  lamp: ['lamp-on', 'lamp-off'],
  blade: ['on', 'off', 'burnt'],
  valve: ['open-drawn', 'shut'],
  float: ['tripped', 'set', 'wet', 'dry'],
  fuse: ['whole', 'blown-sagged', 'blown-silvered', 'burnt'],
  reset: ['set', 'tripped'],
  handle: ['on', 'off', 'tripped', 'burnt'],
} as const

/** A thing that is looked at, not measured: as it should be, and as each of its faults shows. */
const plainLooks = (kind: PartKind): readonly string[] =>
  kind.branches(new Settings('', kind.settings), {}).flatMap(({ states }) => Object.keys(states))

/** What may be said of a look at a part of this kind, as it is set; empty where a look tells nothing. */
export function lookChoices(kind: PartKind, settings: Settings): readonly string[] {
  if (!kind.looks) return []
  if (kind.kind === 'float-switch') return pairs.float
  if (kind.kind === 'fuse') return hasWindow(settings) ? pairs.fuse : ['burnt']
  if (kind.settings.trips !== undefined) return plainLooks(kind)
  if (kind.kind === 'damper-actuator' || kind.symbol === 'valve') return pairs.valve
  if (kind.kind === 'breaker') return pairs.handle
  if (kind.symbol === 'switch') return pairs.blade
  if (kind.symbol === 'limit') return pairs.reset
  if (kind.symbol === 'coil') return pairs.armature
  if (kind.symbol === 'motor') return pairs.rotor
  return pairs.lamp
}
