import { eq } from 'drizzle-orm'
import { personWords } from '@jokulgale/core/visit/personWords'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { diagrams, people, shops } from '../db/schema'
import type { VisitPapers } from '../paper/visitReport'
import { notFound } from '../requests/problem'
import { entriesOf } from './entries'
import { placedUnits } from './logs'
import { findVisit } from './visits'

/** A visit with its day, and the unit and site that it was at. Throws RequestProblem (404). */
export async function visitPlace(db: Database, shopId: string, id: string) {
  const visit = await findVisit(db, shopId, id)
  if (!visit) throw notFound('this visit')
  const [placed] = await placedUnits(db, shopId, { unit: visit.unit })
  if (!placed) throw notFound('this unit')
  return { visit, ...placed, day: visit.startedAt.slice(0, 10) }
}

/** What a visit's report is made of. */
export async function visitPapers(
  db: Database,
  shopId: string,
  id: string,
  utcOffsetMinutes: number,
): Promise<VisitPapers> {
  const { visit, unit, site, day } = await visitPlace(db, shopId, id)
  const [[circuit], log, names, [shop]] = await Promise.all([
    db
      .select({ ladder: diagrams.ladder })
      .from(diagrams)
      .where(ofShop(diagrams, shopId, eq(diagrams.id, visit.diagram))),
    entriesOf(db, shopId, id, 0),
    db
      .select({ id: people.id, name: people.name, licence: people.licence })
      .from(people)
      .where(ofShop(people, shopId)),
    db.select({ name: shops.name }).from(shops).where(eq(shops.id, shopId)),
  ])
  if (!circuit) throw notFound('this unit')
  return {
    log,
    ladder: circuit.ladder,
    unit,
    site,
    shop: shop?.name ?? '',
    people: new Map(names.map((person) => [person.id, personWords(person)])),
    utcOffsetMinutes,
    day,
  }
}
