/** A line from one point to another of a picture, in the picture's own units. */
export interface PictureLine {
  readonly words: string
  readonly from: readonly [x: number, y: number]
  readonly to: readonly [x: number, y: number]
}

export interface PicturePoint {
  readonly words: string
  readonly at: readonly [x: number, y: number]
}

/**
 * What a tool draws. Arrows that may be turned any way, drawn with the same scale both ways; a chart of two
 * quantities with its curves and the points that were given; bars against a limit.
 */
export type Picture =
  | { readonly is: 'arrows'; readonly words: string; readonly arrows: readonly PictureLine[] }
  | {
      readonly is: 'chart'
      readonly words: string
      readonly across: { readonly words: string; readonly least: number; readonly most: number }
      readonly up: { readonly words: string; readonly least: number; readonly most: number }
      readonly curves: readonly {
        readonly words: string
        readonly points: readonly (readonly [x: number, y: number])[]
      }[]
      readonly points: readonly PicturePoint[]
    }
  | {
      readonly is: 'bars'
      readonly words: string
      readonly unit: string
      /** What none of them should pass. */
      readonly limit: number
      readonly bars: readonly PictureBar[]
    }

/** A bar with what stands, and what is reached for a moment. */
export interface PictureBar {
  readonly words: string
  readonly holds: number
  readonly peaks: number
}
