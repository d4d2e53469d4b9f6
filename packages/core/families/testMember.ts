import type { Diagram } from '../diagram/diagram'
import { readLadder } from '../diagram/readLadder'
import { families } from './index'

/** A member of a family that comes with the program, with these options and else the usual ones: for tests. */
export const familyMember = (family: string, options: Readonly<Record<string, string>>): Diagram =>
  readLadder(memberText(family, options))

export function memberText(family: string, options: Readonly<Record<string, string>>): string {
  const listed = families.find(({ id }) => id === family)
  if (!listed) throw new RangeError(`no family ${family}`)
  return listed.read().ladderOf(options)
}
