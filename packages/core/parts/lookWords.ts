import type { PartKind } from './kind'

const pairs = {
  armature: ['pulled-in', 'dropped-out'],
  rotor: ['turning', 'still'],
  lamp: ['lamp-on', 'lamp-off'],
  blade: ['on', 'off'],
  valve: ['open-drawn', 'shut'],
  float: ['tripped', 'set', 'wet', 'dry'],
  fuse: ['blown'],
} as const

/** What may be said of a look at a part of this kind; empty where a look tells nothing. */
export function lookChoices(kind: PartKind): readonly string[] {
  if (!kind.looks) return []
  if (kind.kind === 'float-switch') return pairs.float
  if (kind.kind === 'fuse') return pairs.fuse
  if (kind.kind === 'damper-actuator' || kind.symbol === 'valve') return pairs.valve
  if (kind.symbol === 'switch') return pairs.blade
  if (kind.symbol === 'coil') return pairs.armature
  if (kind.symbol === 'motor') return pairs.rotor
  return pairs.lamp
}
