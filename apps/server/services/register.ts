import { eq, ne } from 'drizzle-orm'
import { createEvents, type EventAttributes } from 'ics'
import { calendarUid } from '@jokulgale/core/visit/newDays'
import type { OpenMeasure } from '@jokulgale/contract/register'
import type { Database } from '../db/connect'
import { ofReadersSite } from '../db/ofReadersSite'
import { ofShop } from '../db/ofShop'
import { sites, units, unitSummaries } from '../db/schema'
import type { Who } from '../requests/signedIn'
import { siteColumns, unitColumns } from './places'

/**
 * Every temporary measure that is still on, anywhere in the shop, the soonest due first; those with no end
 * date before all.
 */
export async function openMeasuresOf(db: Database, { shopId, siteId }: Who): Promise<readonly OpenMeasure[]> {
  const rows = await db
    .select({ unit: unitColumns, site: siteColumns, measures: unitSummaries.measures })
    .from(unitSummaries)
    .innerJoin(units, ofShop(units, shopId, eq(units.id, unitSummaries.unitId)))
    .innerJoin(sites, ofShop(sites, shopId, eq(sites.id, units.siteId)))
    .where(ofShop(unitSummaries, shopId, ne(unitSummaries.measures, []), ofReadersSite(units.siteId, siteId)))
  return rows
    .flatMap(({ unit, site, measures }) => measures.map((measure) => ({ ...measure, unit, site })))
    .sort((a, b) => (a.left?.expires ?? '').localeCompare(b.left?.expires ?? ''))
}

/** The measures that have an end date as an iCalendar file, an all-day reminder each. */
export function calendarOf(measures: readonly OpenMeasure[]): string {
  const events = measures.flatMap(({ id, unit, site, words, left }): readonly EventAttributes[] => {
    if (!left) return []
    const [year, month, day] = left.expires.split('-').map(Number)
    return [
      {
        uid: calendarUid(id),
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
