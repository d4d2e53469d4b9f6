import { createHash } from 'node:crypto'
import { hash } from '@node-rs/argon2'
import { sql } from 'drizzle-orm'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { PlaceEdit, PlaceKind } from '@jokulgale/core/places/placeEdit'
import { asChanges } from '@jokulgale/core/places/placeProblems'
import { builtInUnitIds } from '@jokulgale/core/units/index'
import type { Database } from '../db/connect'
import { entries, people, shops, visits } from '../db/schema'
import { keepBuiltInDiagrams } from '../services/builtInDiagrams'
import { storePlaceEdits } from '../services/placeEdits'
import { demoSites, demoUnits, demoVisits, shop, technicians } from './scenario'

/** The same name always has the same identity, so that loading twice adds nothing. */
const identity = (...names: readonly (string | number)[]): string => {
  const hex = createHash('sha256').update(names.join('\n')).digest('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20, 32)}`
}

const dayMs = 86_400_000

/** The edit that makes a place, long before any device edits it. */
const madePlace = (of: PlaceKind, place: string, values: Readonly<Record<string, string>>): PlaceEdit => ({
  id: identity('made', place),
  of,
  place,
  clock: { wall: 0, counter: 0, device: 'demo' },
  changes: asChanges(values),
})

/** `#3` in a scenario's entry stands for the identity of that visit's entry number 3. */
const pointed = (body: EntryBody, identityOf: (place: number) => string): EntryBody =>
  'entry' in body && body.entry.startsWith('#')
    ? { ...body, entry: identityOf(Number(body.entry.slice(1))) }
    : body

/** Loads the demo scenario into a database that has none. */
export async function loadDemo(db: Database): Promise<void> {
  await db.transaction(async (transaction) => {
    await transaction.execute(sql`SELECT pg_advisory_xact_lock(7203115)`)
    const shopId = identity('shop', shop.name)
    await transaction.insert(shops).values({ id: shopId, name: shop.name }).onConflictDoNothing()
    const known = await transaction.select({ id: people.id }).from(people).limit(1)
    await keepBuiltInDiagrams(transaction, shopId)
    if (known.length > 0) return
    const personId = (name: string): string => identity('person', name)
    await transaction.insert(people).values(
      await Promise.all(
        technicians.map(async ({ name, email, password, role }) => ({
          id: personId(name),
          shopId,
          name,
          email,
          role,
          passwordHash: await hash(password),
        })),
      ),
    )
    const drawn = demoUnits.filter(({ diagram }) => builtInUnitIds.includes(diagram))
    await storePlaceEdits(transaction, { shopId, personId: personId(technicians[0].name) }, [
      ...demoSites.map((site) => madePlace('site', identity('site', site.name), site)),
      ...drawn.map(({ site, ...unit }) =>
        madePlace('unit', identity('unit', site, unit.label), { site: identity('site', site), ...unit }),
      ),
    ])
    for (const [number, visit] of demoVisits.entries()) {
      if (!drawn.some(({ site, label }) => site === visit.site && label === visit.unit)) continue
      const visitId = identity('visit', number)
      const startedAt = new Date(Date.now() - visit.daysAgo * dayMs - 3_600_000)
      await transaction.insert(visits).values({
        id: visitId,
        shopId,
        unitId: identity('unit', visit.site, visit.unit),
        diagramId:
          drawn.find(({ site, label }) => site === visit.site && label === visit.unit)?.diagram ?? '',
        startedBy: personId(visit.by),
        startedAt,
      })
      await transaction.insert(entries).values(
        visit.entries.map((body, k) => ({
          id: identity('entry', number, k),
          shopId,
          visitId,
          personId: personId(visit.by),
          body: pointed(body, (place) => identity('entry', number, place)),
          clockWall: startedAt.getTime() + k * 60_000,
          clockCounter: 0,
          clockDevice: 'demo',
        })),
      )
    }
  })
}
