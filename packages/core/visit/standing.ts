import { showsOpened } from '../parts/lookVocabulary'
import type { Power } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import { settingSaid } from '../diagram/dials'
import { UnknownNameError } from '../diagram/nearest'
import { knownConditions, type Conditions } from '../parts/kind'
import { isOfRunning } from '../parts/surroundings'
import type { EntryBody } from './entry'
import { powerAfter } from './powerState'
import {
  actAfter,
  actionsAfterLanding,
  actionsWatched,
  alterationEffects,
  type StandingAction,
} from './actions'
import { movedLead, wireNamed } from './movedLead'

/** A part's setting as somebody left it. */
export interface SettingChange {
  readonly part: string
  readonly setting: string
  readonly to: string
}

/** What holds at a moment of a visit: the call, the power, what was set, joined and lifted. */
export interface Standing {
  readonly call: string
  readonly power: Power
  /** Isolators that are off while the rest of the unit is on. */
  readonly off: readonly string[]
  readonly conditions: Conditions
  readonly actions: readonly StandingAction[]
  readonly settings: readonly SettingChange[]
  /** Parts that somebody has reset. */
  readonly reset: readonly string[]
  /** The unit has rested long enough for what trips on heat to close again. */
  readonly rested: boolean
  /**
   * Seconds since the call or the power was changed, where that was said; null: long enough for every delay.
   */
  readonly age: number | null
  /** What was set before that change; null: everything was off. */
  readonly before: { readonly call: string; readonly power: Power } | null
  /** How many repairs were done before. */
  readonly repairs: number
  /** The calls that the unit has been run in since arrival, with what was done to it then, in order. */
  readonly ran: readonly Run[]
  /**
   * Parts put back or renewed since arrival, by how many runs there had been: what tripped them may come
   * again.
   */
  readonly renewed: Readonly<Record<string, number>>
  /** Fuses in whose place a resettable stand-in is. */
  readonly standIns: readonly string[]
  /** Fuses and breakers that were seen open, by how many runs there had been: so they stay until put back. */
  readonly seenOpen: Readonly<Record<string, number>>
}

/** Whether the unit was not made to run otherwise from one to the other. */
export const isSameRun = (a: Standing, b: Standing): boolean => a.ran.length === b.ran.length

/** A run of the unit in a call. */
export interface Run {
  readonly call: string
  readonly actions: readonly StandingAction[]
}

export function atArrival(diagram: Diagram, asked: string): Standing {
  const call = diagram.calls.some(({ id }) => id === asked) ? asked : diagram.calls[0].id
  return {
    call,
    power: 'on',
    off: [],
    conditions: {},
    actions: [],
    settings: [],
    reset: [],
    rested: false,
    age: null,
    before: null,
    repairs: 0,
    ran: [],
    renewed: {},
    standIns: [],
    seenOpen: {},
  }
}

/** Seconds off or switched off after which inner protectors and automatic limits have cooled. */
const coolingSeconds = 1200

/** The standing after an entry. Throws UnknownNameError for names that the unit does not have. */
export function follow(diagram: Diagram, standing: Standing, entry: EntryBody): Standing {
  const after = watched(moved(diagram, standing, entry), entry)
  const isRun =
    after.power === 'on' && (entry.kind === 'call' || entry.kind === 'power' || entry.kind === 'action')
  return isRun ? { ...after, ran: ranAfter(after) } : after
}

/** A start lasts for one thing that is read or seen. */
function watched(standing: Standing, { kind }: EntryBody): Standing {
  if (kind === 'action' || kind === 'note' || kind === 'photo') return standing
  const actions = actionsWatched(standing.actions)
  return actions === standing.actions ? standing : { ...standing, actions }
}

/** The runs so far, with the one that is under way. */
function ranAfter({ ran, call, actions }: Standing): readonly Run[] {
  const last = ran.at(-1)
  return last?.call === call && last.actions === actions ? ran : [...ran, { call, actions }]
}

/** What was seen of a part or lead. */
interface Seen {
  readonly of: string
  readonly what: string
}

/** Whether a look found a fuse or breaker open. */
export const findsOpened = ({ parts }: Pick<Diagram, 'parts'>, { of, what }: Seen): boolean =>
  showsOpened(what) && parts.get(of)?.kind.overcurrent !== undefined

/** The standing after a look: a fuse or breaker that was seen open is open from there on. */
export const afterLook = (diagram: Diagram, standing: Standing, seen: Seen): Standing =>
  findsOpened(diagram, seen)
    ? { ...standing, seenOpen: { ...standing.seenOpen, [seen.of]: standing.ran.length } }
    : standing

/** Whether a part that opened, or was seen open, after so many runs has been put back or renewed since. */
export const isPutBack = ({ renewed, standIns }: Standing, part: string, after: number): boolean =>
  (renewed[part] ?? -1) > after || standIns.includes(part)

/** A part is as new from here on: it holds until something trips it again. */
const renewing = (standing: Standing, part: string): Standing['renewed'] => ({
  ...standing.renewed,
  [part]: standing.ran.length,
})

/** Pressures and coil temperatures of a unit that failed are others once something was put right. */
const asBeforeRunning = (conditions: Standing['conditions']): Standing['conditions'] =>
  Object.fromEntries(Object.entries(conditions).filter(([condition]) => !isOfRunning(condition)))

/** A part is put right or renewed: what stood in for it is out. */
const fitted = (standing: Standing, part: string): Standing => ({
  ...standing,
  conditions: asBeforeRunning(standing.conditions),
  renewed: renewing(standing, part),
  standIns: standing.standIns.filter((id) => id !== part),
})

function moved(diagram: Diagram, standing: Standing, entry: EntryBody): Standing {
  switch (entry.kind) {
    case 'call':
      if (!diagram.calls.some(({ id }) => id === entry.call))
        throw new UnknownNameError(
          'call',
          entry.call,
          diagram.calls.map(({ id }) => id),
        )
      return entry.call === standing.call ? standing : { ...changed(standing), call: entry.call }
    case 'power':
      return { ...changed(standing), ...powerAfter(diagram, standing, entry.is === 'on', entry.of) }
    case 'condition':
      return {
        ...standing,
        conditions: { ...standing.conditions, [conditionName(diagram, entry.of)]: entry.value },
      }
    case 'wait':
      return afterWait(standing, entry.seconds)
    case 'action':
      return afterAction(diagram, standing, entry)
    case 'alteration':
    case 'alteration-settled':
    case 'found-on':
      return { ...standing, actions: actionsAfterFinding(diagram, standing.actions, entry) }
    case 'lead-landed':
      return { ...standing, actions: actionsAfterLanding(diagram, standing.actions, entry) }
    case 'setting':
      return { ...standing, settings: settingsAfter(diagram, standing.settings, entry) }
    case 'repair':
      return { ...fitted(standing, entry.of), repairs: standing.repairs + 1 }
    case 'part-used':
      return diagram.parts.has(entry.of) ? fitted(standing, entry.of) : standing
    case 'stand-in':
      if (!diagram.parts.has(entry.of)) throw new UnknownNameError('fuse', entry.of, diagram.parts.keys())
      return {
        ...standing,
        renewed: renewing(standing, entry.of),
        standIns: [...new Set([...standing.standIns, entry.of])],
      }
    default:
      return standing
  }
}

/** The standing after so many seconds: a unit that rests long enough cools. */
function afterWait(standing: Standing, seconds: number): Standing {
  const idle = standing.call === 'off' || standing.power === 'off'
  return {
    ...standing,
    age: (standing.age ?? 0) + seconds,
    rested: standing.rested || (idle && seconds >= coolingSeconds),
  }
}

/** The standing after something was done: a reset ends a trip, anything else lasts until it is undone. */
function afterAction(
  diagram: Diagram,
  standing: Standing,
  { do: verb, of, to }: EntryBody & { kind: 'action' },
): Standing {
  if (verb !== 'reset') return { ...standing, actions: actAfter(diagram, standing.actions, verb, of, to) }
  if (!diagram.parts.has(of)) throw new UnknownNameError('part', of, diagram.parts.keys())
  const after = {
    ...standing,
    renewed: renewing(standing, of),
    conditions: asBeforeRunning(standing.conditions),
  }
  return standing.reset.includes(of) ? after : { ...after, reset: [...standing.reset, of] }
}

/** A lead on another terminal than drawn. */
function foundLanding(diagram: Diagram, { of, at }: EntryBody & { kind: 'found-on' }): StandingAction {
  const { id } = wireNamed(diagram, of)
  return { key: `found-on ${id} ${at}`, verb: 'found', of: id, to: at, effects: [movedLead(diagram, of, at)] }
}

/** What stands on a unit after something was found altered, or that was settled. */
function actionsAfterFinding(
  diagram: Diagram,
  before: readonly StandingAction[],
  entry: EntryBody & { kind: 'alteration' | 'alteration-settled' | 'found-on' },
): readonly StandingAction[] {
  if (entry.kind === 'found-on') return [...before, foundLanding(diagram, entry)]
  const { of, to = '' } = entry
  const key = alterationKey(of, to)
  if (entry.kind === 'alteration')
    return [
      ...before,
      { key, verb: 'found', of, to, effects: alterationEffects(diagram, entry.what, of, to) },
    ]
  return entry.as === 'corrected' ? before.filter((action) => action.key !== key) : before
}

const alterationKey = (of: string, to: string): string => `found ${of} ${to}`

/** Delays begin anew. */
const changed = (standing: Standing): Standing => ({
  ...standing,
  age: null,
  before: { call: standing.call, power: standing.power },
})

function conditionName(diagram: Diagram, name: string): string {
  const known = new Set<string>([
    ...knownConditions,
    ...diagram.calls.flatMap(({ conditions }) => Object.keys(conditions)),
  ])
  if (!known.has(name)) throw new UnknownNameError('condition', name, known)
  return name
}

/**
 * `of` is `PART.setting`; a part alone, or a setting that the circuit does not know, is kept on record only.
 */
function settingsAfter(
  diagram: Diagram,
  before: readonly SettingChange[],
  { of, to }: EntryBody & { kind: 'setting' },
): readonly SettingChange[] {
  const change = settingOf(diagram, of)
  return change
    ? [
        ...before.filter(({ part, setting }) => part !== change.part || setting !== change.setting),
        { ...change, to: settingIn(diagram, change, to) ?? to },
      ]
    : before
}

/**
 * The part and setting that a setting entry speaks of; null when it is a part's, but none that the circuit
 * knows. Throws UnknownNameError.
 */
export function settingOf(diagram: Diagram, of: string): Omit<SettingChange, 'to'> | null {
  const [id, setting = ''] = of.split('.')
  const part = diagram.parts.get(id)
  if (!part) throw new UnknownNameError('part', id, diagram.parts.keys())
  return setting in part.kind.settings ? { part: id, setting } : null
}

/** A value that somebody says, as the dial of that setting shows it; null where it cannot stand there. */
export function settingIn(
  diagram: Diagram,
  { part, setting }: Omit<SettingChange, 'to'>,
  said: string,
): string | null {
  const found = diagram.parts.get(part)
  return found ? settingSaid(found, setting, said) : said
}

/** Whether a part was put back or renewed between two moments of a visit. */
export const putBackBetween = (
  before: Pick<Standing, 'renewed'>,
  now: Pick<Standing, 'renewed'>,
  part: string,
): boolean => before.renewed[part] !== now.renewed[part]
