import { familyTexts } from '../generated/familyTexts'
import { readFamily, type Family } from './family'

/** The families that come with the program. */
export const families: readonly Family[] = Object.values(familyTexts).map(readFamily)
