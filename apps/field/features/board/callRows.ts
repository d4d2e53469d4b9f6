import type { BoardItem } from '@jokulgale/contract/places'
import type { CallState } from '@jokulgale/core/visit/callSummary'

export const stateWords: Readonly<Record<CallState, string>> = {
  waiting: 'Waiting',
  'under-way': 'Under way',
  closed: 'Closed',
}

/** Which calls of the board are shown; null and the empty text: all of them. */
export interface BoardFilter {
  readonly state: CallState | null
  readonly technician: string | null
  readonly sought: string
}

export const everyCall: BoardFilter = { state: null, technician: null, sought: '' }

/** What was complained of, in the customer's words or as the unit's list has it. */
export function complaintOf({ words, complaint }: Pick<BoardItem, 'words' | 'complaint'>): string {
  if (words) return `“${words}”`
  const said = complaint.replaceAll('-', ' ')
  return said.charAt(0).toUpperCase() + said.slice(1)
}

/**
 * The calls that a filter lets through, newest first; every sought word must be in what is known of a call.
 */
export function callRows(items: readonly BoardItem[], filter: BoardFilter): readonly BoardItem[] {
  const words = filter.sought.toLowerCase().split(/\s+/)
  return items
    .filter(
      (item) =>
        (filter.state === null || item.state === filter.state) &&
        (filter.technician === null || item.technician === filter.technician),
    )
    .filter((item) => {
      const known = `${item.unit.label} ${item.site.name} ${complaintOf(item)}`.toLowerCase()
      return words.every((word) => known.includes(word))
    })
    .sort((a, b) => b.startedAt.localeCompare(a.startedAt))
}
