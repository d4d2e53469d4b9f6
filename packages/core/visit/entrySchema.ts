import { array, mixed, number, object, string, boolean, lazy, type ObjectSchema, type Schema } from 'yup'
import { meters } from '../circuit/meter'
import { actionVerbs, type EntryBody } from './entry'

const name = (label: string) => string().strict().trim().min(1).max(200).required().label(label)
const words = (label: string) => string().strict().max(4000).label(label)
const kindIs = (kind: EntryBody['kind']) => string().oneOf([kind]).required()

const value = mixed<number>().nullable().defined('value is missing: give a number, or null for OL')
  .test('number', 'value must be a finite number of at most a million million, or null for OL',
    (given) => given === null || (typeof given === 'number' && Number.isFinite(given) && Math.abs(given) <= 1e12))

const shapes: Readonly<Record<EntryBody['kind'], ObjectSchema<object>>> = {
  arrived: object({ kind: kindIs('arrived') }),
  complaint: object({ kind: kindIs('complaint'), complaint: name('complaint'), words: words('words') }),
  call: object({ kind: kindIs('call'), call: name('call') }),
  power: object({ kind: kindIs('power'), is: string().oneOf(['on', 'off', 'isolated']).required(), of: words('of') }),
  condition: object({ kind: kindIs('condition'), of: name('of'), value: number().strict().required() }),
  wait: object({ kind: kindIs('wait'), seconds: number().strict().min(0).max(86_400).required() }),
  reading: object({ kind: kindIs('reading'), meter: string().oneOf([...meters]).required(), from: name('from'), to: words('to'), value }),
  observation: object({ kind: kindIs('observation'), what: name('what'), of: name('of'), words: words('words') }),
  action: object({ kind: kindIs('action'), do: string().oneOf([...actionVerbs]).required(), of: name('of'), to: words('to') }),
  setting: object({ kind: kindIs('setting'), of: name('of'), from: words('from').defined(), to: words('to').defined() }),
  unreachable: object({ kind: kindIs('unreachable'), of: name('of') }),
  'first-look': object({ kind: kindIs('first-look'), item: name('item'), is: string().oneOf(['right', 'wrong', 'not-looked']).required(), words: words('words') }),
  repair: object({ kind: kindIs('repair'), of: name('of'), words: words('words') }),
  proof: object({ kind: kindIs('proof'), call: name('call'), words: words('words').defined(), passed: boolean().strict().required() }),
  note: object({ kind: kindIs('note'), words: words('words').required() }),
  retracted: object({ kind: kindIs('retracted'), entry: name('entry') }),
  'sign-off': object({ kind: kindIs('sign-off'), outcome: string().oneOf(['repaired', 'restricted', 'left-off']).required(), words: words('words').defined() }),
}

export const entryKinds = Object.keys(shapes) as readonly EntryBody['kind'][]
const isKind = (kind: unknown): kind is EntryBody['kind'] => typeof kind === 'string' && Object.hasOwn(shapes, kind)

/** Checks one entry's body by its kind; nothing that is not of that kind passes. */
export const entryBodySchema: Schema<EntryBody> = lazy((body: unknown) => {
  const kind = typeof body === 'object' && body !== null && 'kind' in body ? body.kind : undefined
  if (!isKind(kind)) return object({ kind: string().oneOf(entryKinds, `kind must be one of ${entryKinds.join(', ')}`).required() })
  return shapes[kind].noUnknown(({ unknown }) => `a ${kind} entry has no field ${unknown}`).strict()
}) as unknown as Schema<EntryBody>

export const caseFileSchema = object({
  unit: name('unit'),
  complaint: string().strict().max(400).defined().label('complaint'),
  entries: array().of(entryBodySchema).max(20_000).required().label('entries'),
})
