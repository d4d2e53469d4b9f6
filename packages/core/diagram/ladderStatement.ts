/** A setting as written: its name, its value, and whether it is only what is usual: nobody has read the plate. */
export type WrittenSetting = readonly [name: string, value: string | number, unread?: 'unread']

interface Placed {
  readonly line: number
}

/** One step of a chain of points: along a wire, or through a part. */
export type ChainStep =
  | {
      readonly by: 'wire'
      readonly color: string
      readonly number: string
      readonly to: string
      readonly line: number
    }
  | { readonly by: 'part'; readonly to: string; readonly line: number }

export interface PartStatement extends Placed {
  readonly is: 'part'
  readonly id: string
  readonly kind: string
  readonly words: string
  readonly zone: string
  readonly settings: readonly WrittenSetting[]
}

export interface ChainStatement extends Placed {
  readonly is: 'chain'
  readonly chain: { readonly first: string; readonly steps: readonly ChainStep[] }
}

export interface RungStatement extends Placed {
  readonly is: 'rung'
  readonly words: string
  readonly wiring: 'control' | 'line'
}

export interface TraceStatement extends Placed {
  readonly is: 'trace'
  readonly call: string
  readonly words: string
  readonly from: string
  readonly to: string
}

export interface ComplaintStatement extends Placed {
  readonly is: 'complaint'
  readonly id: string
  readonly words: string
  /** The calls it can be about, the usual one first. */
  readonly calls: readonly string[]
  /** What it means of the unit; empty: anything that does not do what it should. */
  readonly means: string
}

/** One line of a ladder text, as the grammar reads it. */
export type Statement =
  | (Placed & { readonly is: 'unit'; readonly id: string; readonly title: string })
  | (Placed & { readonly is: 'class'; readonly name: string })
  | (Placed & { readonly is: 'isolate'; readonly parts: readonly string[] })
  | (Placed & { readonly is: 'common' | 'hot'; readonly point: string })
  | (Placed & { readonly is: 'board' | 'plate'; readonly part: string })
  | (Placed & {
      readonly is: 'call'
      readonly id: string
      readonly words: string
      readonly conditions: readonly WrittenSetting[]
    })
  | (Placed & {
      readonly is: 'zone'
      readonly id: string
      readonly words: string
      readonly settings: readonly WrittenSetting[]
    })
  | ComplaintStatement
  | PartStatement
  | RungStatement
  | TraceStatement
  | (Placed & { readonly is: 'code'; readonly part: string; readonly code: string; readonly words: string })
  | ChainStatement
