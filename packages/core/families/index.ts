import { familyTexts } from '../generated/familyTexts'
import { familyHead, readFamily, type Family } from './family'

/** A family that comes with the program, by its name; its text is read when it is first asked for. */
export interface ListedFamily {
  readonly id: string
  readonly words: string
  readonly read: () => Family
}

const listed = (text: string): ListedFamily => {
  let family: Family | null = null
  return { ...familyHead(text), read: () => (family ??= readFamily(text)) }
}

/** The families that come with the program. */
export const families: readonly ListedFamily[] = Object.values(familyTexts).map(listed)
