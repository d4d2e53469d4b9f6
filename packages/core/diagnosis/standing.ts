import type { Power } from '../circuit/situation'
import type { Diagram } from '../diagram/diagram'
import { UnknownNameError } from '../diagram/nearest'
import { knownConditions, type Conditions } from '../parts/kind'
import type { EntryBody } from '../visit/entry'
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
      return powerAfter(diagram, standing, entry.is === 'on', entry.of ?? '')
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
      if (entry.do === 'reset') {
        if (!diagram.parts.has(entry.of)) throw new UnknownNameError('part', entry.of, diagram.parts.keys())
        return standing.reset.includes(entry.of)
          ? standing
          : { ...standing, reset: [...standing.reset, entry.of] }
      }
      return { ...standing, actions: actAfter(diagram, standing.actions, entry.do, entry.of, entry.to) }
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

const alterationKey = (of: string, to: string): string => `found ${of} ${to}`

/** Delays begin anew. */
const changed = (standing: Standing): Standing => ({
  ...standing,
  age: null,
  before: { call: standing.call, power: standing.power },
})

function powerAfter(diagram: Diagram, standing: Standing, on: boolean, of: string): Standing {
  const names = of
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '')
  for (const name of names)
    if (!diagram.parts.has(name)) throw new UnknownNameError('isolator', name, diagram.isolators)
  const whole = names.length === 0 || diagram.isolators.every((isolator) => names.includes(isolator))
  if (whole) return { ...changed(standing), power: on ? 'on' : 'off', off: [] }
  const off = on
    ? standing.off.filter((name) => !names.includes(name))
    : [...new Set([...standing.off, ...names])].sort()
  if (diagram.isolators.every((isolator) => off.includes(isolator)))
    return { ...changed(standing), power: 'off', off: [] }
  // one section back on from a unit that is all off: the others stay off
  const left =
    standing.power === 'off' && on ? diagram.isolators.filter((isolator) => !names.includes(isolator)) : off
  return { ...changed(standing), power: 'on', off: left }
}

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
