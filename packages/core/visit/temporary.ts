import type { Diagram } from '../diagram/diagram'
import { passesByGuard } from '../diagram/guards'
import type { At, Of } from './fold'
import type { EntryBody, TemporarySort } from './entry'
import type { Entry } from './log'
import { endThatStays } from './movedLead'

/** Something put on or left on a unit that is to come off again. */
export interface TemporaryMeasure {
  readonly entry: Entry
  readonly sort: TemporarySort | 'bridge'
  readonly of: string
  readonly to: string
  /** Hazard, reason, authoriser, expiry and who was told; null while it is only on for a test. */
  readonly left: Of<'temporary-left'> | null
}

const sortWords: Readonly<Record<TemporaryMeasure['sort'], string>> = {
  bridge: 'Test bridge',
  bypass: 'Bypass',
  substitute: 'Substitute part',
  restricted: 'Restricted service',
  'wired-for-now': 'Wired for the time being',
  'door-switch-held': 'Door switch held in',
  'tone-set': 'Tone set on the pair',
  'resettable-stand-in': 'Resettable stand-in for the fuse',
  'test-leads': 'Test leads attached',
}

export const temporaryWords = ({ sort, of, to }: Pick<TemporaryMeasure, 'sort' | 'of' | 'to'>): string =>
  `${sortWords[sort]}: ${of}${to ? ` to ${to}` : ''}`
export const temporarySortWords = sortWords

const bridgeKey = (of: string, to: string): string => [of, to].sort().join(' ')

/** Bridges, bypasses, substitutes, restrictions and test gear still in place, in the order they came. */
export function openMeasures(entries: readonly Entry[]): readonly TemporaryMeasure[] {
  const open = new Map<string, TemporaryMeasure>()
  for (const entry of entries) {
    const { body } = entry
    if (body.kind === 'action' && body.do === 'bridge')
      open.set(entry.id, { entry, sort: 'bridge', of: body.of, to: body.to ?? '', left: null })
    if (body.kind === 'action' && body.do === 'unbridge')
      for (const [id, { sort, of, to }] of open)
        if (sort === 'bridge' && bridgeKey(of, to) === bridgeKey(body.of, body.to ?? '')) open.delete(id)
    if (body.kind === 'temporary')
      open.set(entry.id, { entry, sort: body.sort, of: body.of, to: body.to ?? '', left: null })
    if (body.kind === 'temporary-removed') open.delete(body.entry)
    if (body.kind === 'temporary-left') {
      const measure = open.get(body.entry)
      if (measure) open.set(body.entry, { ...measure, left: body })
    }
  }
  return [...open.values()]
}

/** Safety controls found or left out of circuit: the visit is unsafe while there is one. */
export interface UnsafeFinding {
  readonly entry: Entry
  readonly words: string
}

export function unsafeFindings(diagram: Diagram, entries: readonly Entry[]): readonly UnsafeFinding[] {
  const settled = new Map(
    entries.flatMap(({ body }) =>
      body.kind === 'alteration-settled' ? [[body.entry, body.as] as const] : [],
    ),
  )
  const measures = openMeasures(entries)
    .filter(({ sort, of, to }) => (sort === 'bridge' || sort === 'bypass') && passesByGuard(diagram, of, to))
    .map((measure): UnsafeFinding => ({
      entry: measure.entry,
      words: `${temporaryWords(measure)}: a safety control is out of its circuit`,
    }))
  const found = entries.flatMap((entry): readonly UnsafeFinding[] => {
    const { body } = entry
    if (body.kind !== 'alteration' || settled.get(entry.id) === 'corrected' || !takesGuardOut(diagram, body))
      return []
    return [{ entry, words: `${alterationWords(body)}: a safety control is out of its circuit` }]
  })
  return [...measures, ...found]
}

/** Whether what was found takes a safety control out of its circuit. */
export function takesGuardOut(
  diagram: Diagram,
  { what, of, to = '' }: EntryBody & { kind: 'alteration' },
): boolean {
  if (what === 'substituted' || what === 'added') return false
  return passesByGuard(diagram, what === 'moved' ? endThatStays(diagram, of, to) : of, to)
}

const alterationVerbs = {
  added: 'found with a switch in it that is not drawn',
  bridged: 'found bridged',
  joined: 'found joined',
  substituted: 'found substituted',
  other: 'found altered',
} as const

export const alterationWords = ({ what, of, to }: EntryBody & { kind: 'alteration' }): string =>
  what === 'moved'
    ? `Lead ${of} found on ${to ?? ''}`
    : `${what === 'added' ? 'Lead ' : ''}${of}${to ? ` to ${to}` : ''} ${alterationVerbs[what]}`

export interface Alteration extends At<'alteration'> {
  readonly settled: Of<'alteration-settled'> | null
}

export function alterationsOf(entries: readonly Entry[]): readonly Alteration[] {
  return entries.flatMap((entry): readonly Alteration[] => {
    const { body } = entry
    if (body.kind !== 'alteration') return []
    const settled = entries
      .map((other) => other.body)
      .filter((other) => other.kind === 'alteration-settled')
      .filter((other) => other.entry === entry.id)
      .at(-1)
    return [{ entry, body, settled: settled ?? null }]
  })
}

/**
 * Days until a measure that was left is due to come off; negative when it is over. `today` and the date are
 * UTC days.
 */
export const daysLeft = (expires: string, todayMs: number): number =>
  Math.ceil((Date.parse(`${expires}T00:00:00Z`) - todayMs) / 86_400_000)
