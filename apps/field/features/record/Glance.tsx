import type { UnitGlance } from '@jokulgale/contract/records'
import { Notice } from '../../ui/Notice'
import { Stack } from '../../ui/Stack'
import { Words } from '../../ui/Words'
import { outcomeLabel } from './outcome'

/** Years from which a contactor is named for its age. */
const oldContactorYears = 8

/** What is known of a unit from its earlier visits, in a few lines. */
export function Glance({ glance }: { readonly glance: UnitGlance }) {
  const { last, defects, measures, drifting, contactors, changes, again } = glance
  const old = contactors.filter(({ years }) => years >= oldContactorYears).slice(0, 2)
  return (
    <Stack gap="small">
      <Words strong quiet role="heading" aria-level={2}>
        This unit’s record
      </Words>
      {measures.map(({ id, words, until }) => (
        <Notice
          key={id}
          kind="caution"
        >{`${words}, left ${until ? `until ${until}` : 'with no end date'}`}</Notice>
      ))}
      {defects.map(({ id, words, since }) => (
        <Notice key={id} kind="plain">{`Open since ${since}: ${words}`}</Notice>
      ))}
      {changes.map((words) => (
        <Notice key={words} kind="plain">{`Not wired as its diagram. ${words}`}</Notice>
      ))}
      {last ? (
        <Words>{`Last visit ${last.day}, ${outcomeLabel(last.outcome).toLowerCase()}: ${[...last.repairs, last.words].filter(Boolean).join('. ')}`}</Words>
      ) : (
        <Words quiet>No earlier visit.</Words>
      )}
      {again.length > 0 ? <Words>{`Repaired more than once: ${again.join(', ')}`}</Words> : null}
      {drifting.map((words) => (
        <Words key={words}>{`Drifting: ${words}`}</Words>
      ))}
      {old.length > 0 ? (
        <Words quiet>
          {old.map(({ words, years }) => `${words}: ${Math.round(years)} years old`).join(', ')}
        </Words>
      ) : null}
    </Stack>
  )
}
