import { asDrawn, everythingUnlike, type Unlikeness } from '@jokulgale/core/world/siteUnit'

/** What is wrong with a unit that somebody has called about. */
export type Wrong = 'one' | 'trips' | 'two' | 'three' | 'comes-and-goes' | 'not-drawn'

/** A sort of world in which searches are made. */
export interface WorldSort {
  readonly words: string
  readonly unlike: Unlikeness
  readonly wrong: Wrong
  /** What was complained of is said; else nothing is. */
  readonly isSaid: boolean
}

const one = (words: string, unlike: Unlikeness): WorldSort => ({ words, unlike, wrong: 'one', isSaid: true })

/** Everything is unlike the drawing, and one fault is to be found: what the others are held against. */
export const allOfThese = one('all of these', everythingUnlike)
const all = (words: string, over: Partial<WorldSort>): WorldSort => ({
  ...allOfThese,
  words: `all of these, ${words}`,
  ...over,
})
export const nothingSaid = all('nothing said of what fails', { isSaid: false })
export const asDrawnSort = one('as drawn', asDrawn)

/** Worlds with one thing unlike the drawing, with all of them, and with other things wrong than one fault. */
export const worldSorts: readonly WorldSort[] = [
  asDrawnSort,
  one('supply within 6 %', { ...asDrawn, supply: true }),
  one('parts off their plates', { ...asDrawn, plates: true }),
  one('loads of 40 to 105 %', { ...asDrawn, loads: true }),
  one('shorts of any ohms, trips that stay, motors from rest', { ...asDrawn, faults: true }),
  one('weather and water of any season', { ...asDrawn, weather: true }),
  one('rounded, slips and blunders', { ...asDrawn, readings: true }),
  allOfThese,
  nothingSaid,
  all('faults that trip', { wrong: 'trips' }),
  all('something that nobody drew', { wrong: 'not-drawn' }),
  all('two faults', { wrong: 'two' }),
  all('three faults', { wrong: 'three' }),
  all('a fault that is there in 60 % of the readings', { wrong: 'comes-and-goes' }),
]
