import { familyTexts } from '../generated/familyTexts'
import { familyHead, readFamily, type Family, type FamilyHead } from './family'

/** A family that comes with the program, by its name; its text is read when it is first asked for. */
export interface ListedFamily extends FamilyHead {
  readonly read: () => Family
}

const listed = (text: string): ListedFamily => {
  let family: Family | null = null
  return { ...familyHead(text), read: () => (family ??= readFamily(text)) }
}

/** The families that come with the program, those that are met most first. */
export const families: readonly ListedFamily[] = Object.values(familyTexts)
  .map(listed)
  .sort((a, b) => a.place - b.place)
