import type { Diagram } from '../diagram/diagram'
import type { DrawnStretch, DrawnTurn, LadderDrawing } from '../diagram/drawnLadder'
import { ladderDrawing } from '../diagram/ladderDrawing'
import { escapeXml } from './escapeXml'

const ink = '#16242d'
const quiet = '#435966'
/** A part is a box with its name: what stands in it is in the list of parts. */
const box = { width: 40, height: 22 } as const

/** How far the arrow of a line that goes on in another row reaches. */
const turnLength = 26
const pointRadius = 4

const text = (x: number, y: number, size: number, words: string, more = ''): string =>
  `<text x="${x}" y="${y}" font-size="${size}" fill="${ink}"${more}>${escapeXml(words)}</text>`
const line = (x1: number, y1: number, x2: number, y2: number, width = 1.2): string =>
  `<line x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}" stroke="${quiet}" stroke-width="${width}"/>`

function stretch({ from, to, by }: DrawnStretch): string {
  const [x1, y] = from.at
  const [x2] = to.at
  if (by.is === 'wire') return line(x1, y, x2, y) + text(x1 + 8, y - 6, 10, by.words)
  const middle = (x1 + x2) / 2
  return [
    line(x1, y, middle - box.width / 2, y),
    line(middle + box.width / 2, y, x2, y),
    `<rect x="${middle - box.width / 2}" y="${y - box.height / 2}" width="${box.width}" height="${box.height}" rx="3" fill="#ffffff" stroke="${ink}"><title>${escapeXml(by.part.words)}</title></rect>`,
    text(middle, y + 4, 11, by.part.id, ' text-anchor="middle" font-weight="bold"'),
  ].join('')
}

/** An arrow that leaves a point for the row below, or reaches it from the row above. */
function turn({ point: { at }, goes }: DrawnTurn): string {
  const [x, y] = at
  const [from, to] = goes === 'on below' ? [x, x + turnLength] : [x - turnLength, x]
  const tip = goes === 'on below' ? to : to - pointRadius
  return [
    line(from, y, to, y),
    `<path d="M${tip - 7} ${y - 4} L${tip} ${y} L${tip - 7} ${y + 4}" fill="none" stroke="${quiet}" stroke-width="1.2"/>`,
  ].join('')
}

/**
 * A unit's whole ladder as a drawing of its own (SVG 1.1): sections with their rails, every wire by colour
 * and number.
 */
export const ladderSvg = (diagram: Diagram): string => drawingSvg(ladderDrawing(diagram), diagram.title)

/** Room above a drawing for its title. */
export const titleRoom = 30

/** One drawing, whole or a sheet of it, under a title. */
export function drawingSvg(
  { width, height, left, right, sections, rungs, points, stretches, rails, turns }: LadderDrawing,
  title: string,
): string {
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height + titleRoom}" viewBox="0 ${-titleRoom} ${width} ${height + titleRoom}" font-family="sans-serif">`,
    `<title>${escapeXml(title)}</title>`,
    text(left, -8, 18, title, ' font-weight="bold"'),
    ...sections.flatMap(({ words, from, to }) => [
      line(left, from, left, to, 2),
      line(right, from, right, to, 2),
      text(left + 12, from + 14, 15, words, ' font-weight="bold"'),
    ]),
    ...rungs.map(({ words, at: [x, y] }) => text(x, y, 12, words)),
    ...rails.map(({ point: { at }, side }) =>
      side === 'left' ? line(left, at[1], at[0], at[1]) : line(at[0], at[1], right, at[1]),
    ),
    ...turns.map(turn),
    ...stretches.map(stretch),
    ...points.map(
      ({ point, at: [x, y] }) =>
        `<circle cx="${x}" cy="${y}" r="${pointRadius}" fill="#ffffff" stroke="${ink}"/>${text(x, y + 18, 9, point, ' text-anchor="middle"')}`,
    ),
    '</svg>',
  ].join('\n')
}
