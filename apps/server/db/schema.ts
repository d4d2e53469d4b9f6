import {
  bigint,
  bigserial,
  boolean,
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
import type { FieldChange, PlaceKind } from '@jokulgale/core/places/placeEdit'
import type { OpenMeasure } from '@jokulgale/contract/register'
import type { CallSummary } from '@jokulgale/core/visit/callSummary'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { Role } from '@jokulgale/contract/people'
import type { SecurityEvent } from '@jokulgale/contract/security'

/** Every row belongs to a shop; what points at a row points at the shop with it, so that shops cannot mix. */
export const shops = pgTable('shops', {
  id: uuid('id').primaryKey(),
  name: text('name').notNull(),
})

const shopId = () =>
  uuid('shop_id')
    .notNull()
    .references(() => shops.id)

export const sites = pgTable(
  'sites',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    name: text('name').notNull(),
    address: text('address').notNull(),
    access: text('access').notNull().default(''),
    archived: boolean('archived').notNull().default(false),
  },
  (table) => [unique('sites_in_shop').on(table.shopId, table.id)],
)

export const people = pgTable(
  'people',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    name: text('name').notNull(),
    email: text('email').notNull().unique(),
    passwordHash: text('password_hash').notNull(),
    role: text('role').$type<Role>().notNull().default('technician'),
    /** The one site that a reader may see. */
    siteId: uuid('site_id'),
    /** As the report prints it beside the name; empty for none. */
    licence: text('licence').notNull().default(''),
    /** Closed: signs in no more, and stays in the record. */
    closedAt: timestamp('closed_at', { withTimezone: true }),
  },
  (table) => [
    unique('people_in_shop').on(table.shopId, table.id),
    foreignKey({ columns: [table.shopId, table.siteId], foreignColumns: [sites.shopId, sites.id] }),
  ],
)

/**
 * Links that let somebody in once: to join the shop, or to choose a new password. Only their hashes are
 * kept.
 */
export const links = pgTable(
  'links',
  {
    tokenHash: text('token_hash').primaryKey(),
    shopId: shopId(),
    madeBy: uuid('made_by').notNull(),
    /** Whose password it sets; null: somebody new. */
    personId: uuid('person_id'),
    name: text('name').notNull(),
    email: text('email').notNull(),
    role: text('role').$type<Role>().notNull(),
    siteId: uuid('site_id'),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
    usedAt: timestamp('used_at', { withTimezone: true }),
  },
  (table) => [
    foreignKey({ columns: [table.shopId, table.madeBy], foreignColumns: [people.shopId, people.id] }),
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
    foreignKey({ columns: [table.shopId, table.siteId], foreignColumns: [sites.shopId, sites.id] }),
  ],
)

/** Wrong passwords by e-mail, known or not: each more makes the next try wait longer. */
export const signInFailures = pgTable('sign_in_failures', {
  email: text('email').primaryKey(),
  failures: integer('failures').notNull(),
  lastAt: timestamp('last_at', { withTimezone: true }).notNull(),
})

/** What somebody's authenticator holds too; counted once it was confirmed by a code. */
export const secondFactors = pgTable(
  'second_factors',
  {
    personId: uuid('person_id').primaryKey(),
    shopId: shopId(),
    /** Base32. */
    secret: text('secret').notNull(),
    confirmedAt: timestamp('confirmed_at', { withTimezone: true }),
    /** The time step of the last code that let somebody in: none lets in twice. */
    lastStep: bigint('last_step', { mode: 'number' }).notNull().default(0),
    /** Hashes of the spare codes that are left. */
    spareHashes: jsonb('spare_hashes').$type<readonly string[]>().notNull().default([]),
  },
  (table) => [
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
  ],
)

/** Tries at the door by address, counted for all servers together; its shape is the limiter's. */
export const doorTries = pgTable('door_tries', {
  key: varchar('key', { length: 255 }).primaryKey(),
  points: integer('points').notNull().default(0),
  expire: bigint('expire', { mode: 'number' }),
})

/**
 * What a device may still send in somebody's name once they have signed out on it; it lets nobody read.
 * Only hashes are kept.
 */
export const sendCredentials = pgTable(
  'send_credentials',
  {
    tokenHash: text('token_hash').primaryKey(),
    shopId: shopId(),
    personId: uuid('person_id').notNull(),
    /** The session that it was made in, which ends with it. */
    sid: varchar('sid').notNull(),
    expiresAt: timestamp('expires_at', { withTimezone: true }).notNull(),
  },
  (table) => [
    index('send_credentials_of_person').on(table.personId),
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
  ],
)

/** Who came in, who was refused, what was changed of people: rows are only ever added. */
export const securityEvents = pgTable(
  'security_events',
  {
    sequence: bigserial('sequence', { mode: 'number' }).primaryKey(),
    shopId: shopId(),
    personId: uuid('person_id'),
    what: text('what').$type<SecurityEvent['what']>().notNull(),
    about: text('about').notNull().default(''),
    at: timestamp('at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('security_events_of_shop').on(table.shopId, table.sequence),
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
  ],
)

/** Which life of this database it is: a restore begins another, and devices send again what it has not. */
export const epochs = pgTable('epochs', {
  id: uuid('id').primaryKey().defaultRandom(),
  since: timestamp('since', { withTimezone: true }).notNull().defaultNow(),
})

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

/** Versions of circuits: a changed one is a new row, and visits keep the one that they began with. */
export const diagrams = pgTable(
  'diagrams',
  {
    shopId: shopId(),
    id: text('id').notNull(),
    title: text('title').notNull(),
    ladder: text('ladder').notNull(),
    /** The version that it was made from. */
    follows: text('follows'),
    /** Why it was made, in the words of whoever made it. */
    why: text('why').notNull().default(''),
    /** Null: it came with the program. */
    madeBy: uuid('made_by'),
    madeAt: timestamp('made_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique('diagrams_in_shop').on(table.shopId, table.id),
    foreignKey({ columns: [table.shopId, table.madeBy], foreignColumns: [people.shopId, people.id] }),
  ],
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
    /** The circuit that somebody means to make of it. */
    planId: text('plan_id'),
    make: text('make').notNull(),
    serial: text('serial').notNull(),
    installed: date('installed'),
    archived: boolean('archived').notNull().default(false),
  },
  (table) => [
    unique('units_in_shop').on(table.shopId, table.id),
    foreignKey({ columns: [table.shopId, table.siteId], foreignColumns: [sites.shopId, sites.id] }),
    foreignKey({ columns: [table.shopId, table.diagramId], foreignColumns: [diagrams.shopId, diagrams.id] }),
    foreignKey({ columns: [table.shopId, table.planId], foreignColumns: [diagrams.shopId, diagrams.id] }),
  ],
)

export const visits = pgTable(
  'visits',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    unitId: uuid('unit_id').notNull(),
    diagramId: text('diagram_id').notNull(),
    startedBy: uuid('started_by').notNull(),
    startedAt: timestamp('started_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    unique('visits_in_shop').on(table.shopId, table.id),
    index('visits_newest').on(table.shopId, table.startedAt),
    index('visits_of_unit').on(table.unitId),
    foreignKey({ columns: [table.shopId, table.unitId], foreignColumns: [units.shopId, units.id] }),
    foreignKey({ columns: [table.shopId, table.diagramId], foreignColumns: [diagrams.shopId, diagrams.id] }),
    foreignKey({ columns: [table.shopId, table.startedBy], foreignColumns: [people.shopId, people.id] }),
  ],
)

/** What was ever said of sites and units: the rows of both follow from it. Rows are only ever added. */
export const placeEdits = pgTable(
  'place_edits',
  {
    sequence: bigserial('sequence', { mode: 'number' }).primaryKey(),
    id: uuid('id').notNull().unique(),
    shopId: shopId(),
    /** Null: it was there before edits were kept. */
    personId: uuid('person_id'),
    of: text('of').$type<PlaceKind>().notNull(),
    placeId: uuid('place_id').notNull(),
    changes: jsonb('changes').$type<readonly FieldChange[]>().notNull(),
    clockWall: bigint('clock_wall', { mode: 'number' }).notNull(),
    clockCounter: integer('clock_counter').notNull(),
    clockDevice: text('clock_device').notNull(),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('place_edits_of_place').on(table.shopId, table.placeId),
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
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
    foreignKey({ columns: [table.shopId, table.visitId], foreignColumns: [visits.shopId, visits.id] }),
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
  ],
)

const bytes = customType<{ data: Buffer }>({ dataType: () => 'bytea' })

/** Pictures of visits; an entry of the log says what each shows. */
export const photos = pgTable(
  'photos',
  {
    id: uuid('id').primaryKey(),
    shopId: shopId(),
    visitId: uuid('visit_id').notNull(),
    personId: uuid('person_id').notNull(),
    type: text('type').notNull(),
    image: bytes('image').notNull(),
    /** Decoded and written by us; those from before are as a device sent them. */
    writtenAnew: boolean('written_anew').notNull().default(false),
    takenAt: timestamp('taken_at', { withTimezone: true }),
    receivedAt: timestamp('received_at', { withTimezone: true }).notNull().defaultNow(),
  },
  (table) => [
    index('photos_of_visit').on(table.visitId),
    foreignKey({ columns: [table.shopId, table.visitId], foreignColumns: [visits.shopId, visits.id] }),
    foreignKey({ columns: [table.shopId, table.personId], foreignColumns: [people.shopId, people.id] }),
  ],
)

/** Documents that a job has made, for whoever waits for them: gone once fetched. */
export const prints = pgTable('prints', {
  id: uuid('id').primaryKey(),
  shopId: shopId(),
  pdf: bytes('pdf').notNull(),
  madeAt: timestamp('made_at', { withTimezone: true }).notNull().defaultNow(),
})

/** A measure without the unit and the site that it is on. */
export type KeptMeasure = Omit<OpenMeasure, 'unit' | 'site'>

/**
 * What the logs of a unit come to, kept so that a list of many units need not read them all. It follows
 * from the log, and is made anew from it where the program makes something else of it than the program
 * that wrote it.
 */
export const unitSummaries = pgTable(
  'unit_summaries',
  {
    unitId: uuid('unit_id').primaryKey(),
    shopId: shopId(),
    version: integer('version').notNull(),
    /** Temporary measures that are still on. */
    measures: jsonb('measures').$type<readonly KeptMeasure[]>().notNull(),
    /** Proven repairs, counted by kind of part and fault. */
    repairs: jsonb('repairs').$type<Readonly<Record<string, number>>>().notNull(),
  },
  (table) => [
    index('unit_summaries_of_shop').on(table.shopId),
    foreignKey({ columns: [table.shopId, table.unitId], foreignColumns: [units.shopId, units.id] }),
  ],
)

/**
 * What the log of a visit comes to: how its call stands, and its words, a line for each entry that has
 * any and stands.
 */
export const visitSummaries = pgTable(
  'visit_summaries',
  {
    visitId: uuid('visit_id').primaryKey(),
    shopId: shopId(),
    call: jsonb('call').$type<CallSummary>().notNull(),
    words: text('words').notNull(),
  },
  (table) => [
    index('visits_by_words').using('gin', sql`to_tsvector('simple', ${table.words})`),
    foreignKey({ columns: [table.shopId, table.visitId], foreignColumns: [visits.shopId, visits.id] }),
  ],
)
