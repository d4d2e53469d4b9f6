import { loadBetween, type ReadLoad } from '../diagram/loadBetween'
import type { Diagram } from '../diagram/diagram'
import type { Candidate } from './candidates'
import type { ToldApart } from './likelihood'

/** How what a reading may show is told apart: ohms of three windings, or of coils alike, by each other. */
export const howToldApart = (diagram: Diagram, candidate: Candidate): ToldApart =>
  comparable(diagram, candidate) ? 'compared ohms' : candidate.meter

/** The load whose ohms a reading shows, where they can be held against others; null else. */
function comparable(diagram: Diagram, { meter, from, to }: Candidate): ReadLoad | null {
  const load = meter === 'ohms' ? loadBetween(diagram, from, to) : null
  return load === null || load.compares === 'nothing' ? null : load
}

/** What a reading should be like, in words that follow its value; empty where there is nothing. */
export function likeWords(diagram: Diagram, candidate: Candidate): string {
  const load = comparable(diagram, candidate)
  if (load === null) return ''
  if (load.compares === 'pairs') return 'the same for all three pairs'
  return `the same at ${load.twins.map(({ words }) => words).join(', ')}`
}
