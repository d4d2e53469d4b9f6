import type { Meter } from '../circuit/meter'

/** Everything that a visit, or a case file, can say. `of`, `from` and `to` name points, parts or wires of the unit. */
export type EntryBody =
  | { readonly kind: 'arrived' }
  | { readonly kind: 'complaint'; readonly complaint: string; readonly words?: string }
  | { readonly kind: 'call'; readonly call: string }
  | { readonly kind: 'power'; readonly is: 'on' | 'off' | 'isolated'; readonly of?: string }
  | { readonly kind: 'condition'; readonly of: string; readonly value: number }
  | { readonly kind: 'wait'; readonly seconds: number }
  | { readonly kind: 'reading'; readonly meter: Meter; readonly from: string; readonly to?: string; readonly value: number | null }
  | { readonly kind: 'observation'; readonly what: string; readonly of: string; readonly words?: string }
  | { readonly kind: 'action'; readonly do: ActionVerb; readonly of: string; readonly to?: string }
  | { readonly kind: 'setting'; readonly of: string; readonly from: string; readonly to: string }
  | { readonly kind: 'unreachable'; readonly of: string }
  | { readonly kind: 'first-look'; readonly item: string; readonly is: 'right' | 'wrong' | 'not-looked'; readonly words?: string }
  | { readonly kind: 'repair'; readonly of: string; readonly words?: string }
  | { readonly kind: 'proof'; readonly call: string; readonly words: string; readonly passed: boolean }
  | { readonly kind: 'note'; readonly words: string }
  | { readonly kind: 'retracted'; readonly entry: string }
  | { readonly kind: 'sign-off'; readonly outcome: 'repaired' | 'restricted' | 'left-off'; readonly words: string }

export type ActionVerb = 'lift' | 'land' | 'unplug' | 'plug' | 'bridge' | 'unbridge' | 'reset' | 'warm' | 'cool' | 'wiggle'
export const actionVerbs: readonly ActionVerb[] = ['lift', 'land', 'unplug', 'plug', 'bridge', 'unbridge', 'reset', 'warm', 'cool', 'wiggle']

/** A stretch of a visit's log, in the visit's own entry types. */
export interface CaseFile {
  readonly unit: string
  readonly complaint: string
  readonly entries: readonly EntryBody[]
}
