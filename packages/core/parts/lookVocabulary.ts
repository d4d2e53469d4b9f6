import { codeIn } from './codeWord'
import { storedIn, noCode } from './storedCode'

/**
 * How a word of a look comes to be said: `handle`, of one that stands as hardly any does; `plainly`, what
 * nobody mistakes; of how a thing `stands` that moves or lights, where one in many looks is at another relay;
 * `heard`, which the noise of a roof may cover; `watched`, which way a shaft turns; `counted`, a code of
 * flashes; `closely`, a mark that has to be looked for.
 */
export type ToldBy = 'handle' | 'plainly' | 'stands' | 'heard' | 'watched' | 'counted' | 'closely'

interface LookWord {
  readonly told: ToldBy
  /** A look gives it at a glance: it may be asked for. Others are what somebody may say of themselves. */
  readonly isGlance: boolean
  /** As a sentence has it, where it is not the word itself. */
  readonly words?: string
  /** What looks so has what it moves or lights by. */
  readonly isFed?: true
  /** What looks so has opened by itself. */
  readonly isOpened?: true
}

const glance = (told: ToldBy, words?: string): LookWord => ({
  told,
  isGlance: true,
  ...(words === undefined ? {} : { words }),
})
const fed = (by: ToldBy, words?: string): LookWord => ({ ...glance(by, words), isFed: true })
const told = (by: ToldBy): LookWord => ({ told: by, isGlance: false })
const opened = (isGlance: boolean): LookWord => ({ told: 'plainly', isGlance, isOpened: true })

/** Words that parts say of themselves at a look; a word that is not here is a mark, told closely. */
const lookWords: Readonly<Record<string, LookWord>> = {
  'pulled-in': fed('stands', 'pulled in'),
  'dropped-out': glance('stands', 'dropped out'),
  turning: fed('stands'),
  still: glance('stands'),
  'lamp-on': glance('stands', 'lamp on'),
  'lamp-off': glance('stands', 'lamp off'),
  'open-drawn': fed('stands', 'drawn open'),
  shut: glance('stands'),
  on: glance('stands'),
  set: glance('stands'),
  off: glance('handle'),
  tripped: opened(true),
  blown: opened(true),
  broken: glance('plainly'),
  together: glance('plainly'),
  apart: glance('plainly'),
  humming: fed('heard'),
  noisy: glance('heard'),
  backwards: glance('watched'),
  dark: glance('closely'),
  whole: glance('closely'),
  clean: glance('closely'),
  dirty: glance('closely'),
  running: glance('closely'),
  blocked: glance('closely'),
  charged: glance('closely', 'no oil to be seen'),
  oily: glance('closely'),
  lit: glance('closely', 'burner lit'),
  glowing: glance('closely', 'glowing, no flame'),
  out: glance('closely', 'dark, no flame'),
  'blown-clear': opened(false),
  'blown-silvered': opened(false),
  'blown-sagged': opened(false),
  wet: told('plainly'),
  iced: told('plainly'),
  'added-switch': { ...told('plainly'), words: 'a switch in it that is not drawn' },
}

export const toldBy = (word: string): ToldBy =>
  codeIn(word) === null ? (lookWords[word]?.told ?? 'closely') : 'counted'

/** Whether what looks so must have what it moves or lights by, unless it has stuck there. */
export const showsFed = (word: string): boolean => lookWords[word]?.isFed ?? false

/** Whether what looks so has opened by itself, as a fuse or a limit does. */
export const showsOpened = (word: string): boolean => lookWords[word]?.isOpened ?? false

export const isGlanceWord = (word: string): boolean =>
  codeIn(word) !== null || (lookWords[word]?.isGlance ?? false)

/** A word of a look as a sentence has it. */
export function seenWords(seen: string): string {
  const stored = storedIn(seen)
  if (stored !== null) return stored === noCode ? 'no stored code' : `stored code ${stored}`
  return lookWords[seen]?.words ?? seen.replaceAll('-', ' ')
}
