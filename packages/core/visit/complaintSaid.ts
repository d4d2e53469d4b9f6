import type { Complaint, Diagram } from '../diagram/diagram'

/** The complaint that somebody's words are, by its name or as it is said; letter case does not matter. */
export function complaintSaid({ complaints }: Diagram, said: string): Complaint | undefined {
  const plain = said.trim().toLowerCase()
  return complaints.find(({ id, words }) => id === plain || words.toLowerCase() === plain)
}
