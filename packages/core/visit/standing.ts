import type { Power } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'
import { knownConditions, type Conditions } from '../parts/kind'
import type { EntryBody } from './entry'
import { powerAfter } from './powerState'
import { actAfter, alterationEffects, type StandingAction } from './actions'

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
}

export const atArrival = (diagram: Diagram, call: string): Standing => ({
  call: diagram.calls.some(({ id }) => id === call) ? call : diagram.calls[0].id,
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
})

/** Seconds off or switched off after which inner protectors and automatic limits have cooled. */
const coolingSeconds = 1200

/** The standing after an entry. Throws UnknownNameError for names that the unit does not have. */
export function follow(diagram: Diagram, standing: Standing, entry: EntryBody): Standing {
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
    case 'wait': {
      const idle = standing.call === 'off' || standing.power === 'off'
      return {
        ...standing,
        age: (standing.age ?? 0) + entry.seconds,
        rested: standing.rested || (idle && entry.seconds >= coolingSeconds),
      }
    }
    case 'action':
      return afterAction(diagram, standing, entry)
    case 'alteration': {
      const { what, of, to = '' } = entry
      return {
        ...standing,
        actions: [
          ...standing.actions,
          {
            key: alterationKey(of, to),
            verb: 'found',
            of,
            to,
            effects: alterationEffects(diagram, what, of, to),
          },
        ],
      }
    }
    case 'alteration-settled':
      return entry.as === 'corrected'
        ? {
            ...standing,
            actions: standing.actions.filter(({ key }) => key !== alterationKey(entry.of, entry.to ?? '')),
          }
        : standing
    case 'setting':
      return { ...standing, settings: settingsAfter(diagram, standing.settings, entry) }
    case 'repair':
      return { ...standing, repairs: standing.repairs + 1 }
    default:
      return standing
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
  return standing.reset.includes(of) ? standing : { ...standing, reset: [...standing.reset, of] }
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
        { ...change, to },
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
