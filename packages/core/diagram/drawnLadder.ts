import type { Part, Rung } from './diagram'
import type { PartSymbol } from '../parts/kind'

type Place = readonly [x: number, y: number]

/** A point of the ladder where it is drawn; a point on two rungs is drawn on both. */
export interface DrawnPoint {
  readonly point: string
  readonly at: Place
}

/** A wire, or a way through a part, between two drawn points of one line. */
export interface DrawnStretch {
  readonly from: DrawnPoint
  readonly to: DrawnPoint
  /** What is drawn in the middle: a part by its symbol, or the colour and number of a wire. */
  readonly by:
    | { readonly is: 'part'; readonly part: Part; readonly symbol: PartSymbol }
    | { readonly is: 'wire'; readonly words: string }
}

/** The end of a line at a rail. */
export interface DrawnRail {
  readonly point: DrawnPoint
  readonly side: 'left' | 'right'
}

/** A point at which a line turns: it goes on from there in the next row, or comes from the row before. */
export interface DrawnTurn {
  readonly point: DrawnPoint
  readonly goes: 'on below' | 'from above'
}

export interface DrawnRung {
  readonly words: string
  readonly at: Place
}

/** Rails of one section, from where it begins to where it ends. */
export interface DrawnSection {
  readonly words: string
  readonly wiring: Rung['wiring']
  readonly from: number
  readonly to: number
}

/**
 * A ladder, or a sheet of one: line-voltage part above, control part below, rails left and right; units of
 * its own, from the left top.
 */
export interface LadderDrawing {
  readonly width: number
  readonly height: number
  readonly left: number
  readonly right: number
  readonly sections: readonly DrawnSection[]
  readonly rungs: readonly DrawnRung[]
  readonly points: readonly DrawnPoint[]
  readonly stretches: readonly DrawnStretch[]
  readonly rails: readonly DrawnRail[]
  readonly turns: readonly DrawnTurn[]
}
