import {
  bigint,
  bigserial,
  customType,
  date,
  foreignKey,
  index,
  json,
  jsonb,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
  varchar,
  integer,
} from 'drizzle-orm/pg-core'
import { sql } from 'drizzle-orm'
import type { EntryBody } from '@jokulgale/core/visit/entry'

/** Every row belongs to a shop; what points at a row points at the shop with it, so that shops cannot mix. */
export const shops = pgTable('shops', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
})

const shopId = () =>
  uuid('shop_id')
    .notNull()
    .references(() => shops.id)

export const people = pgTable(
  'people',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    name: text('name').notNull(),
    email: text('email').notNull().unique(),
    passwordHash: text('password_hash').notNull(),
  },
  (table) => [unique('people_in_shop').on(table.shopId, table.id)],
)

/** Kept by the session store; its shape is the store's. */
export const session = pgTable(
  'session',
  {
    sid: varchar('sid').primaryKey(),
    sess: json('sess').notNull(),
    expire: timestamp('expire', { precision: 6 }).notNull(),
  },
  (table) => [index('session_expire').on(table.expire)],
)

export const sites = pgTable(
  'sites',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    name: text('name').notNull(),
    address: text('address').notNull(),
    access: text('access').notNull().default(''),
  },
  (table) => [unique('sites_in_shop').on(table.shopId, table.id)],
)

export const diagrams = pgTable(
  'diagrams',
  {
    shopId: shopId(),
    id: text('id').notNull(),
    title: text('title').notNull(),
    ladder: text('ladder').notNull(),
  },
  (table) => [unique('diagrams_in_shop').on(table.shopId, table.id)],
)

export const units = pgTable(
  'units',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    siteId: uuid('site_id').notNull(),
    label: text('label').notNull(),
    place: text('place').notNull(),
    diagramId: text('diagram_id').notNull(),
    make: text('make').notNull(),
    serial: text('serial').notNull(),
    installed: date('installed').notNull(),
  },
  (table) => [
    unique('units_in_shop').on(table.shopId, table.id),
    foreignKey({ columns: [table.shopId, table.siteId], foreignColumns: [sites.shopId, sites.id] }),
    foreignKey({ columns: [table.shopId, table.diagramId], foreignColumns: [diagrams.shopId, diagrams.id] }),
  ],
)

export const visits = pgTable(
  'visits',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    unitId: uuid('unit_id').notNull(),
    startedBy: uuid('started_by').notNull(),
    startedAt: timestamp('started_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique('visits_in_shop').on(table.shopId, table.id),
    foreignKey({ columns: [table.shopId, table.unitId], foreignColumns: [units.shopId, units.id] }),
    foreignKey({ columns: [table.shopId, table.startedBy], foreignColumns: [people.shopId, people.id] }),
  ],
)

/** The logs of all visits: rows are only ever added (a trigger of the first migration refuses the rest). */
export const entries = pgTable(
  'entries',
  {
    sequence: bigserial('sequence', { mode: 'number' }).primaryKey(),
    id: uuid('id').notNull().unique(),
    shopId: shopId(),
    visitId: uuid('visit_id').notNull(),
    personId: uuid('person_id').notNull(),
    clockWall: bigint('clock_wall', { mode: 'number' }).notNull(),
    clockCounter: integer('clock_counter').notNull(),
    clockDevice: text('clock_device').notNull(),
    body: jsonb('body').$type<EntryBody>().notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('entries_of_visit').on(table.visitId, table.sequence),
    index('entries_by_kind').on(table.shopId, sql`(${table.body}->>'kind')`),
    foreignKey({ columns: [table.shopId, table.visitId], foreignColumns: [visits.shopId, visits.id] }),
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
  ],
)

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' })

/** Pictures of visits, as the device took them; an entry of the log says what each shows. */
export const photos = pgTable(
  'photos',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    visitId: uuid('visit_id').notNull(),
    personId: uuid('person_id').notNull(),
    type: text('type').notNull(),
    image: bytes('image').notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('photos_of_visit').on(table.visitId),
    foreignKey({ columns: [table.shopId, table.visitId], foreignColumns: [visits.shopId, visits.id] }),
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
  ],
)
