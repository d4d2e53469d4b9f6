import type { Strip, Stop } from '../diagnosis/strip'
import { escapeXml } from './escapeXml'

const rowHeight = 22
const left = 26
const width = 520

const mark = (stop: Stop, y: number): string => {
  if (stop.state === 'live') return `<circle cx="${left}" cy="${y}" r="5" fill="#b04300"/>`
  if (stop.state === 'dead')
    return `<rect x="${left - 5}" y="${y - 5}" width="10" height="10" fill="#ffffff" stroke="#5a6f7b" stroke-width="2"/>`
  return `<circle cx="${left}" cy="${y}" r="4" fill="#ffffff" stroke="#435966"/>`
}

/**
 * A conductor between two stops: heavy where live, hollow where dead, dotted where it changes or is not
 * known.
 */
const stretch = (a: Stop, b: Stop, y: number): string => {
  const look =
    a.state !== b.state || a.state === 'unknown'
      ? 'stroke="#435966" stroke-width="1.5" stroke-dasharray="2 3"'
      : a.state === 'live'
        ? 'stroke="#b04300" stroke-width="4"'
        : 'stroke="#5a6f7b" stroke-width="1.5"'
  return `<path d="M ${left} ${y} V ${y + rowHeight}" fill="none" ${look}/>`
}

const words = ({ point, by, words: place }: Stop): string =>
  `${point}  ${by.is === 'wire' ? `${by.color} ${by.number}` : by.is === 'part' ? `through ${by.words}` : place}`

/** How large a path's drawing is, in its own units. */
export const stripSize = ({ stops }: Strip): { readonly width: number; readonly height: number } => ({
  width,
  height: 28 + rowHeight * stops.length,
})

/** What was read at a stop, and what it should be. */
function said({ measured, contradicted, expected }: Stop): string {
  const should = `should ${expected.toFixed(1)} V`
  return measured === null ? should : `${contradicted ? '≠ ' : ''}${measured.words}, ${should}`
}

/** A path of a call as a drawing of its own, stop by stop from source to load. */
export function stripSvg(strip: Strip): string {
  const { words: title, stops } = strip
  const { height } = stripSize(strip)
  const y = (k: number): number => 34 + rowHeight * k
  const rows = stops.map(
    (
      stop,
      k,
    ) => `<text x="${left + 16}" y="${y(k) + 4}" font-size="10" fill="#16242d">${escapeXml(words(stop))}</text>
<text x="${width - 8}" y="${y(k) + 4}" font-size="10" text-anchor="end" fill="#16242d">${said(stop)}</text>`,
  )
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">
<text x="0" y="14" font-size="12" fill="#16242d">${escapeXml(title)}</text>
${stops
  .slice(1)
  .map((stop, k) => stretch(stops[k], stop, y(k)))
  .join('\n')}
${stops.map((stop, k) => mark(stop, y(k))).join('\n')}
${rows.join('\n')}
</svg>`
}
