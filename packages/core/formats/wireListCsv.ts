import Papa from 'papaparse'
import { partOfPoint, partWords, zoneWords, type Diagram } from '../diagram/diagram'

/**
 * A unit's wires, one a row, as they are drawn (RFC 4180): both ends in words and where they are, colour,
 * number, wiring.
 */
export function wireListCsv(diagram: Diagram): string {
  const place = (point: string): string => zoneWords(diagram, diagram.points.get(point)?.zone ?? '')
  const part = (point: string): string => partWords(diagram, partOfPoint(point))
  return Papa.unparse(
    [...diagram.wires.values()].map(({ from, to, color, number, wiring }) => ({
      from,
      'from part': part(from),
      'from place': place(from),
      to,
      'to part': part(to),
      'to place': place(to),
      color,
      number,
      wiring,
    })),
    { newline: '\r\n' },
  )
}
