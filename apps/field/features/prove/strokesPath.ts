/** A point of a stroke, in the field's own units. */
interface StrokePoint {
  readonly x: number
  readonly y: number
}

/** Longer signatures are thinned out until they fit the record. */
const mostPoints = 3000

/** Strokes of a hand as the data of an SVG path in a field of 600 by 200; empty: nothing was drawn. */
export function strokesPath(
  strokes: readonly (readonly StrokePoint[])[],
  width: number,
  height: number,
): string {
  const count = strokes.reduce((sum, stroke) => sum + stroke.length, 0)
  const every = Math.max(1, Math.ceil(count / mostPoints))
  const scaled = ({ x, y }: StrokePoint): string =>
    `${Math.round((600 * x) / width)} ${Math.round((200 * y) / height)}`
  return strokes
    .map((stroke) => stroke.filter((_, k) => k % every === 0 || k === stroke.length - 1).map(scaled))
    .filter((points) => points.length > 0)
    .map(([first, ...rest]) =>
      [`M ${first}`, ...(rest.length > 0 ? rest : [first]).map((point) => `L ${point}`)].join(' '),
    )
    .join(' ')
}
