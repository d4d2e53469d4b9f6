import { createEvents, type EventAttributes } from 'ics'
import type { OpenMeasure } from '@jokulgale/contract/register'
import { merge, standingEntries } from '@jokulgale/core/visit/log'
import { passesByGuard } from '@jokulgale/core/diagram/guards'
import { openMeasures, temporaryWords } from '@jokulgale/core/visit/temporary'
import type { Database } from '../db/connect'
import type { Who } from '../requests/signedIn'
import { diagramsById } from './diagrams'
import { drawnUnits, entriesOfKinds } from './logs'

/**
 * Every temporary measure that is still on, anywhere in the shop, the soonest due first; those with no end
 * date before all.
 */
export async function openMeasuresOf(db: Database, { shopId, siteId }: Who): Promise<readonly OpenMeasure[]> {
  const [entries, drawn] = await Promise.all([
    entriesOfKinds(db, shopId, ['action', 'temporary', 'temporary-left', 'temporary-removed', 'retracted']),
    drawnUnits(db, shopId, { site: siteId }),
  ])
  // a measure is of the circuit as it was on its visit
  const circuitOf = new Map(entries.map(({ visit, diagram }) => [visit, diagram]))
  const circuits = await diagramsById(db, shopId, [...new Set(circuitOf.values())])
  return drawn
    .flatMap(({ unit, site, diagram }) =>
      openMeasures(standingEntries(merge(entries.filter((entry) => entry.unit === unit.id)))).map(
        (measure): OpenMeasure => ({
          id: measure.entry.id,
          visit: measure.entry.visit,
          unit,
          site,
          sort: measure.sort,
          words: temporaryWords(measure),
          since: new Date(measure.entry.clock.wall).toISOString(),
          left: measure.left,
          unsafe: passesByGuard(
            circuits.get(circuitOf.get(measure.entry.visit) ?? '') ?? diagram,
            measure.of,
            measure.to,
          ),
        }),
      ),
    )
    .sort((a, b) => (a.left?.expires ?? '').localeCompare(b.left?.expires ?? ''))
}

/** The measures that have an end date as an iCalendar file, an all-day reminder each. */
export function calendarOf(measures: readonly OpenMeasure[]): string {
  const events = measures.flatMap(({ id, unit, site, words, left }): readonly EventAttributes[] => {
    if (!left) return []
    const [year, month, day] = left.expires.split('-').map(Number)
    return [
      {
        uid: `${id}@jokulgale`,
        title: `Take off: ${words}, ${unit.label}`,
        start: [year, month, day],
        duration: { days: 1 },
        location: `${site.name}, ${site.address}`,
        description: `${left.hazard}. ${left.reason}. Authorised by ${left.authorisedBy}; told: ${left.told}`,
        alarms: [{ action: 'display', description: words, trigger: { days: 1, before: true } }],
        productId: 'jokulgale',
        calName: 'Temporary measures',
      },
    ]
  })
  const { error, value } = createEvents([...events])
  if (error) throw error
  return value ?? ''
}
