import { eq } from 'drizzle-orm'
import { unscopedTable } from '../scopeWatch'
import { connect } from './connect'
import { ofShop } from './ofShop'
import { people, sites, units, visits } from './schema'

const { pool, db } = connect('postgres://nobody@127.0.0.1:1/none', () => undefined)
const shop = '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c00'

afterAll(() => pool.end())

test('what goes through the door is held to its shop: reads, changes, removals, inner queries', () => {
  const inner = db.select({ id: units.id }).from(units).where(ofShop(units, shop))
  const statements = [
    db.select().from(sites).where(ofShop(sites, shop)),
    db.select().from(visits).innerJoin(units, ofShop(units, visits.shopId)).where(ofShop(visits, shop)),
    db
      .update(people)
      .set({ name: 'x' })
      .where(ofShop(people, shop, eq(people.id, shop))),
    db.delete(sites).where(ofShop(sites, shop)),
    db.select().from(inner.as('inner')),
  ]
  expect(statements.map((statement) => unscopedTable(statement.toSQL().sql))).toEqual(
    statements.map(() => null),
  )
})

test('whatever passes the door by is found, also where only a joined table or an inner query does', () => {
  const statements = [
    db.select().from(sites),
    db.update(people).set({ name: 'x' }).where(eq(people.id, shop)),
    db.delete(sites).where(eq(sites.id, shop)),
    db.select().from(visits).innerJoin(units, eq(units.id, visits.unitId)).where(ofShop(visits, shop)),
    db
      .select()
      .from(sites)
      .where(ofShop(sites, shop, eq(sites.id, db.select({ id: units.siteId }).from(units)))),
  ]
  expect(statements.map((statement) => unscopedTable(statement.toSQL().sql))).toEqual([
    'sites',
    'people',
    'sites',
    'units',
    'units',
  ])
})

test('somebody who signs in has no shop yet', () => {
  const statement = db.select({ id: people.id }).from(people).where(eq(people.email, 'ines@skerry.example'))
  expect(unscopedTable(statement.toSQL().sql)).toBeNull()
})
