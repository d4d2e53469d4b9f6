/**
 * What sort of thing a fault is, so that nobody has to know it by its name:
 * - `open`: passes nothing: a winding, an element, a contact that does not make
 * - `loose`: makes badly or now and then: burnt, corroded, not seated
 * - `short`: a load or winding joined through
 * - `ground`: a live conductor or winding on metal
 * - `crossed`: two conductors touch
 * - `stuck`: stays in one position: welded, jammed
 * - `trip`: opened by what it watches; nothing in it is broken
 * - `blown`: a fuse that has opened
 * - `off`: switched off by somebody
 * - `setting`: set otherwise than the unit needs
 * - `landing`: a lead on another terminal than drawn
 * - `joined`: points or a contact joined by somebody
 * - `sensor`: stands for another value than it should
 * - `added`: something that somebody wired in and that the drawing does not have
 * - `unlike`: another part fitted than drawn
 * - `fouled`: blocked, broken, empty: seen, not measured
 * - `supply`: what feeds the unit is not right
 * - `surroundings`: nothing is wrong; weather or water is otherwise than a call of the drawing assumes
 */
export type FaultClass =
  | 'open'
  | 'loose'
  | 'short'
  | 'ground'
  | 'crossed'
  | 'stuck'
  | 'trip'
  | 'blown'
  | 'off'
  | 'setting'
  | 'landing'
  | 'joined'
  | 'sensor'
  | 'added'
  | 'unlike'
  | 'fouled'
  | 'supply'
  | 'surroundings'

/** Faults that are mended by renewing what they are in; what is set, reset or landed anew is not. */
export const mendedByRenewing: ReadonlySet<FaultClass> = new Set([
  'open',
  'loose',
  'short',
  'ground',
  'stuck',
  'sensor',
  'unlike',
])
