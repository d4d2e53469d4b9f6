import type { Ask } from '@jokulgale/core/diagnosis/briefing'
import type { School } from '@jokulgale/core/diagnosis/schools'
import type { ReadingWanted } from '../pad/ReadingSheet'

/** What the diagnosis asks for now, and what it has come to so far. */
export interface Asked {
  /** Best first. */
  readonly asks: readonly Ask[]
  /** They are being worked out anew. */
  readonly busy: boolean
  readonly story: string
  /** What does not fit together in the evidence; told instead of the story. */
  readonly warning: string
  /** The suspect that leads and how likely it is, in words; empty while none stands out. */
  readonly leading: string
  /** That what was complained of works, in a sentence; empty while something may give a reason for it. */
  readonly answered: string
}

/** In what manner is searched, and how that is changed. */
export interface Searching {
  readonly school: School
  readonly onSchool: (school: School) => void
}

/** What the visit does with an ask. */
export interface AskDoings {
  readonly onMeasure: (wanted: ReadingWanted) => void
  /** Weather, water or a pressure is to be entered. */
  readonly onCondition: (of: string) => void
  /** Something was logged, and may be undone. */
  readonly onSaid: (entry: string, words: string) => void
  readonly onSuspects: () => void
}
