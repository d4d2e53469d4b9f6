import type { At } from './fold'
import type { VisitState } from './visitState'

/** What was taken for the cause and has not been repaired since. */
export const openCauses = ({ causes, repairs, entries }: VisitState): readonly At<'cause'>[] =>
  causes.filter(
    (cause) =>
      !repairs.some(
        ({ entry, body }) =>
          body.of === cause.body.of && entries.indexOf(entry) > entries.indexOf(cause.entry),
      ),
  )

/** The repair of a part or wire, named as what it was taken for. */
export function repairOf({ causes }: VisitState, of: string): At<'repair'>['body'] {
  const cause = causes.findLast(({ body }) => body.of === of)?.body
  return {
    kind: 'repair',
    of,
    ...(cause?.words ? { words: cause.words } : {}),
    ...(cause?.fault ? { fault: cause.fault } : {}),
  }
}
