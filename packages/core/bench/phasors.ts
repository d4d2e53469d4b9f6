import type { Picture, PictureLine } from './picture'

type Point = readonly [x: number, y: number]

/**
 * The triangle of three leg-to-leg volts, corner by corner, the first side to the right; null where no
 * triangle has such sides. Only sizes are measured: the third corner follows from the law of cosines.
 */
export function triangleOf(ab: number, bc: number, ca: number): readonly [Point, Point, Point] | null {
  if (!(ab > 0) || ab > bc + ca || bc > ab + ca || ca > ab + bc) return null
  const x = (ab ** 2 + ca ** 2 - bc ** 2) / (2 * ab)
  return [
    [0, 0],
    [ab, 0],
    [x, Math.sqrt(Math.max(0, ca ** 2 - x ** 2))],
  ]
}

/**
 * Volts between three legs as arrows: an even supply is an even triangle, a lost leg falls on the side
 * between the others.
 */
export function phasorPicture(ab: number, bc: number, ca: number): Picture | null {
  const corners = triangleOf(ab, bc, ca)
  if (!corners) return null
  const [a, b, c] = corners
  const side = (words: string, from: Point, to: Point, volts: number): PictureLine => ({
    words: `${words} ${Math.round(volts)} V`,
    from,
    to,
  })
  return {
    is: 'arrows',
    words: 'Volts between the legs: an even supply is an even triangle',
    arrows: [side('L1–L2', a, b, ab), side('L2–L3', b, c, bc), side('L3–L1', c, a, ca)],
  }
}
