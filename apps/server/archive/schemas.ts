import { roles } from '@jokulgale/contract/people'
import { placeFields } from '@jokulgale/core/places/placeEdit'
import { archiveFormat, archiveVersion } from './rows'

const draft = 'https://json-schema.org/draft/2020-12/schema'
const id = { type: 'string', format: 'uuid' } as const
const idOrNull = { type: ['string', 'null'], format: 'uuid' } as const
const moment = { type: 'string', format: 'date-time' } as const
const momentOrNull = { type: ['string', 'null'], format: 'date-time' } as const
const text = (maxLength: number) => ({ type: 'string', maxLength }) as const
const clock = {
  type: 'object',
  properties: {
    wall: { type: 'integer', minimum: 0 },
    counter: { type: 'integer', minimum: 0 },
    device: text(200),
  },
  required: ['wall', 'counter', 'device'],
  additionalProperties: false,
} as const

/** A row: an object that has exactly these, but for what archives did not always have. */
const row = (
  title: string,
  properties: Readonly<Record<string, object>>,
  newer: readonly string[] = [],
): object => ({
  $schema: draft,
  title,
  type: 'object',
  properties,
  required: Object.keys(properties).filter((name) => !newer.includes(name)),
  additionalProperties: false,
})

/** The JSON Schemas of an archive, by the file they are of; each archive has them with it. */
export const archiveSchemas = {
  shop: row('A shop', {
    format: { const: archiveFormat },
    version: { const: archiveVersion },
    id,
    name: text(200),
  }),
  people: row(
    'A person of the shop',
    {
      id,
      name: text(200),
      email: text(200),
      role: { enum: roles },
      site: idOrNull,
      licence: text(60),
      closedAt: momentOrNull,
    },
    ['licence'],
  ),
  circuits: row(
    'A version of a circuit, as ladder text',
    {
      id: text(200),
      title: text(1000),
      ladder: text(60_000),
      follows: { type: ['string', 'null'], maxLength: 200 },
      why: text(2000),
      madeBy: idOrNull,
      madeAt: moment,
    },
    ['why'],
  ),
  'place-edits': row('What was said of a site or a unit; what each is follows from all of them', {
    id,
    by: idOrNull,
    of: { enum: Object.keys(placeFields) },
    place: id,
    changes: {
      type: 'array',
      maxItems: 20,
      items: {
        type: 'object',
        properties: { field: text(40), from: text(4000), to: text(4000) },
        required: ['field', 'from', 'to'],
        additionalProperties: false,
      },
    },
    clock,
    receivedAt: moment,
  }),
  visits: row('A visit', { id, unit: id, circuit: text(200), startedBy: id, startedAt: moment }),
  entries: row('An entry of a visit’s log', {
    id,
    visit: id,
    by: id,
    clock,
    body: { type: 'object', properties: { kind: text(40) }, required: ['kind'] },
    receivedAt: moment,
  }),
  photos: row('A picture of a visit; its file lies beside', {
    id,
    visit: id,
    by: id,
    type: { enum: ['image/jpeg', 'image/png', 'image/webp'] },
    takenAt: momentOrNull,
    receivedAt: moment,
    file: { type: 'string', pattern: '^photos/[0-9a-f-]{36}$' },
  }),
  security: row('A security event', { by: idOrNull, what: text(40), about: text(1000), at: moment }),
} as const

export type ArchiveFile = keyof typeof archiveSchemas
