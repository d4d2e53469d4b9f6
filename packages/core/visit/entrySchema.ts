import {
  array,
  boolean,
  lazy,
  mixed,
  number,
  object,
  string,
  type AnyObjectSchema,
  type ObjectShape,
  type Schema,
} from 'yup'
import { meters } from '../circuit/meters'
import { actionVerbs, alterationSorts, standInResults, temporarySorts, type EntryBody } from './entry'

/** What no database can keep as text: a NUL, half of a surrogate pair. */
export const isKeepable = (text: string | null | undefined): boolean =>
  typeof text !== 'string' || (!text.includes('\u0000') && !/\p{Surrogate}/u.test(text))
/** A test for a field of text, in the form that the schemas take. */
export const keepableText = [
  'text',
  'has a character that cannot be kept; write it anew without it',
  isKeepable,
] as const
const name = (label: string) =>
  string()
    .strict()
    .trim()
    .min(1)
    .max(200)
    .required()
    .label(label)
    .test(...keepableText)
const words = (label: string) =>
  string()
    .strict()
    .max(4000)
    .label(label)
    .test(...keepableText)
const said = (label: string) => words(label).trim().min(1, `${label} is missing`).required()
const uuid = (label: string) =>
  string().strict().uuid(`${label} must be a UUID`).required(`${label} is missing`)
/** Where something is on a picture or a sketch. */
const percent = () => number().strict().min(0).max(100).required()

const oneOf = (label: string, values: readonly string[]) =>
  string()
    .oneOf([...values])
    .required()
    .label(label)
const amount = (label: string) => number().strict().min(-1e6).max(1e9).required().label(label)

const value = mixed<number>()
  .nullable()
  .defined('value is missing: give a number, or null for OL')
  .test(
    'number',
    'value must be a finite number of at most a million million, or null for OL',
    (given) =>
      given === null || (typeof given === 'number' && Number.isFinite(given) && Math.abs(given) <= 1e12),
  )

const chance = (label: string) => number().strict().min(0).max(1).required().label(label)
/** Of a change that is carried out: its leads and parts, and the calls that prove it. */
const mostLeads = 400
const mostCalls = 64
const sentencesOf = (label: string) => array().of(said(label)).max(20).required().label(label)
const typed = () => string().strict().max(20).label('typed')

const dropPoints = (label: string) =>
  array()
    .of(object({ from: name('from'), to: name('to') }).noUnknown())
    .max(64)
    .required()
    .label(label)
const workedLines = (label: string) =>
  array()
    .of(object({ what: name('what'), value: name('value') }).noUnknown())
    .max(30)
    .required()
    .label(label)
const rating = mixed<Record<string, string>>()
  .required()
  .test(
    'rating',
    'rating must be words by name',
    (given) =>
      typeof given === 'object' &&
      given !== null &&
      Object.entries(given).length <= 20 &&
      Object.values(given).every((text) => typeof text === 'string' && text.length <= 200),
  )
const plateValues = mixed<Record<string, number | string>>()
  .required()
  .test(
    'plate',
    'values must be numbers or words by the name of a setting',
    (given) =>
      typeof given === 'object' &&
      given !== null &&
      Object.entries(given).length <= 20 &&
      Object.values(given).every((value) =>
        typeof value === 'number' ? Number.isFinite(value) : typeof value === 'string' && value.length <= 200,
      ),
  )
const provenAt = object({ meter: oneOf('meter', ['volts', 'amps']), from: name('from'), to: name('to') })
  .noUnknown()
  .default(undefined)
const dayOf = (label: string) =>
  string()
    .strict()
    .matches(/^\d{4}-\d{2}-\d{2}$/, `${label} must be a date, YYYY-MM-DD`)
    .label(label)

/** What something was taken for: the part, the fault, and why it was judged so. */
const whatItWas = {
  of: name('of'),
  words: words('words'),
  fault: words('fault'),
  reasoning: object({
    chance: chance('chance'),
    shownBy: sentencesOf('shownBy'),
    rivals: array()
      .of(
        object({
          words: said('words'),
          chance: chance('chance'),
          against: sentencesOf('against'),
        }).noUnknown(),
      )
      .max(5)
      .required(),
    program: words('program').defined(),
  })
    .noUnknown()
    .default(undefined)
    .optional(),
}

/** What an entry of each kind has besides its kind. */
const fields: Readonly<Record<EntryBody['kind'], ObjectShape>> = {
  arrived: {},
  complaint: { complaint: name('complaint'), words: words('words') },
  controls: {
    by: oneOf('by', ['thermostat', 'building', 'energy-company']),
    telephone: words('telephone'),
    confirmed: boolean().strict(),
    words: words('words'),
  },
  replaced: { of: name('of'), by: words('by'), words: words('words') },
  'pairing-step': {
    method: oneOf('method', ['fans-on', 'tone', 'room-temperature']),
    of: name('of'),
    outcome: said('outcome'),
  },
  pairing: {
    thermostat: name('thermostat'),
    indoor: name('indoor'),
    outdoor: words('outdoor'),
    breaker: words('breaker'),
    disconnect: words('disconnect'),
    label: name('label'),
  },
  placed: { of: name('of'), x: percent(), y: percent() },
  call: { call: name('call') },
  power: { is: oneOf('is', ['on', 'off', 'isolated']), of: words('of') },
  condition: { of: name('of'), value: number().strict().required() },
  wait: { seconds: number().strict().min(0).max(86_400).required() },
  reading: {
    meter: oneOf('meter', meters),
    from: name('from'),
    to: words('to'),
    value,
    typed: typed(),
  },
  supply: { system: name('system') },
  plate: { of: name('of'), values: plateValues },
  'stand-in': {
    of: name('of'),
    amps: number().strict().positive().max(1000).required(),
    result: oneOf('result', standInResults),
  },
  'found-on': { of: name('of'), at: name('at') },
  observation: {
    what: name('what'),
    of: name('of'),
    words: words('words'),
  },
  action: { do: oneOf('do', actionVerbs), of: name('of'), to: words('to') },
  setting: {
    of: name('of'),
    from: words('from').defined(),
    to: words('to').defined(),
  },
  unreachable: { of: name('of') },
  'drop-out': {
    fell: dropPoints('fell'),
    held: dropPoints('held'),
    words: words('words'),
  },
  'first-look': {
    item: name('item'),
    is: oneOf('is', ['right', 'wrong', 'not-looked']),
    words: words('words'),
  },
  photo: {
    photo: uuid('photo'),
    of: words('of'),
    on: words('on'),
    words: words('words'),
  },
  pinned: {
    photo: uuid('photo'),
    of: name('of'),
    x: percent(),
    y: percent(),
  },
  note: { words: words('words').required() },
  calculation: {
    tool: name('tool'),
    of: words('of'),
    given: workedLines('given'),
    found: workedLines('found'),
    level: oneOf('level', ['good', 'watch', 'act']),
    words: said('words'),
  },
  support: { asked: words('asked'), advice: words('advice').defined() },
  retracted: { entry: name('entry') },
  corrected: { entry: name('entry'), value, typed: typed() },
  isolation: {
    sources: array()
      .of(name('source'))
      .min(1, 'sources: name every source that was isolated')
      .max(20)
      .required(),
    where: words('where'),
    storedEnergySeconds: number().strict().min(0).max(86_400).required(),
    testerBefore: boolean().strict().required(),
    testerAfter: boolean().strict().required(),
    legs: array()
      .of(object({ from: name('from'), to: name('to'), volts: amount('volts') }).noUnknown())
      .min(1, 'legs: measure each leg to each other and to ground')
      .max(40)
      .required(),
  },
  alteration: {
    what: oneOf('what', alterationSorts),
    of: name('of'),
    to: words('to'),
    hazard: said('hazard'),
    owner: words('owner'),
  },
  'alteration-settled': {
    entry: name('entry'),
    of: name('of'),
    to: words('to'),
    as: oneOf('as', ['corrected', 'accepted', 'left-off']),
    words: words('words'),
  },
  temporary: {
    sort: oneOf('sort', temporarySorts),
    of: name('of'),
    to: words('to'),
    words: words('words'),
  },
  'temporary-left': {
    entry: name('entry'),
    hazard: said('hazard'),
    reason: said('reason'),
    authorisedBy: said('authorisedBy'),
    expires: dayOf('expires').required('expires is missing'),
    told: said('told'),
  },
  'temporary-removed': {
    entry: name('entry'),
    words: words('words'),
  },
  'go-ahead': { by: said('by'), words: words('words').defined() },
  'lead-found': {
    of: name('of'),
    terminal: name('terminal'),
    color: name('color'),
    number: words('number').defined(),
    photo: words('photo'),
  },
  'lead-landed': {
    of: name('of'),
    terminal: name('terminal'),
    color: name('color'),
    number: words('number').defined(),
  },
  'part-used': {
    of: name('of'),
    words: words('words').defined(),
    dateCode: words('dateCode'),
    rating,
    bench: string().oneOf(['new', 'proven-on-bench', 'unknown']),
  },
  cause: { ...whatItWas },
  repair: { ...whatItWas, trippedBy: words('trippedBy') },
  'diagram-changed': { of: name('of'), words: said('words') },
  rewired: {
    words: said('words'),
    done: array().of(said('done')).max(mostLeads).required().label('done'),
    prove: array().of(name('prove')).max(mostCalls).required().label('prove'),
  },
  proof: {
    call: name('call'),
    words: words('words').defined(),
    passed: boolean().strict().required(),
    values: array()
      .of(
        object({
          what: name('what'),
          value: amount('value'),
          typed: typed(),
          unit: words('unit').defined(),
          expected: number().strict(),
          at: provenAt,
        }).noUnknown(),
      )
      .max(60),
  },
  restored: { item: name('item'), is: boolean().strict().required() },
  defect: {
    words: said('words'),
    of: words('of'),
    recommend: words('recommend'),
    reason: words('reason'),
  },
  'defect-closed': { entry: name('entry') },
  'sign-off': {
    outcome: oneOf('outcome', ['repaired', 'restricted', 'left-off']),
    words: words('words').defined(),
    told: words('told'),
    until: dayOf('until'),
    signedBy: words('signedBy'),
    signature: string()
      .strict()
      .max(40_000, 'a signature has at most 40,000 letters')
      .matches(/^[ML0-9. -]*$/, 'a signature is strokes: M x y L x y')
      .label('signature'),
  },
}

const isKind = (kind: unknown): kind is EntryBody['kind'] =>
  typeof kind === 'string' && Object.hasOwn(fields, kind)
export const entryKinds: readonly EntryBody['kind'][] = Object.keys(fields).filter(isKind)

const shapes: ReadonlyMap<EntryBody['kind'], AnyObjectSchema> = new Map(
  entryKinds.map((kind) => [
    kind,
    object({ kind: string().oneOf([kind]).required(), ...fields[kind] })
      .noUnknown(({ unknown }) => `a ${kind} entry has no field ${unknown}`)
      .strict(),
  ]),
)

/** Checks one entry's body by its kind; nothing that is not of that kind passes. */
export const entryBodySchema: Schema<EntryBody> = lazy((body: unknown) => {
  const kind = typeof body === 'object' && body !== null && 'kind' in body ? body.kind : undefined
  const shape = isKind(kind) ? shapes.get(kind) : undefined
  if (!shape)
    return object({
      kind: string()
        .oneOf(entryKinds, `kind must be one of ${entryKinds.join(', ')}`)
        .required(),
    }).required('body is missing')
  return shape
}) as unknown as Schema<EntryBody>

export const caseFileSchema = object({
  unit: name('unit'),
  complaint: string().strict().max(400).defined().label('complaint'),
  entries: array().of(entryBodySchema).max(20_000).required().label('entries'),
})
