import type { Diagram, Rung, RungStop } from './diagram'
import { lineOf } from './drawnLine'
import { margin, rowHeight, sectionGap, titleHeight, widthFor } from './drawnSizes'
import type {
  DrawnPoint,
  DrawnRail,
  DrawnRung,
  DrawnSection,
  DrawnStretch,
  DrawnTurn,
  LadderDrawing,
} from './drawnLadder'
import { railsOf } from './ladderRails'

/** What a sheet has room for: points abreast in a row, two at the least, and its height in units of the drawing. */
export interface SheetSize {
  readonly abreast: number
  readonly height: number
}

/** A piece of a line that stands in one row. */
interface Row {
  readonly stops: readonly RungStop[]
  readonly begins: boolean
  readonly ends: boolean
}

/** A line in rows of so many points at most; each begins at the point at which the one above ended. */
export function rowsOf(chain: readonly RungStop[], abreast: number): readonly Row[] {
  const rows: Row[] = []
  let from = 0
  do {
    const to = Math.min(from + abreast, chain.length)
    rows.push({ stops: chain.slice(from, to), begins: from === 0, ends: to === chain.length })
    from = to - 1
  } while (from < chain.length - 1)
  return rows
}

/** A sheet while rows are put on it. */
class Sheet {
  readonly sections: DrawnSection[] = []
  readonly rungs: DrawnRung[] = []
  readonly points: DrawnPoint[] = []
  readonly stretches: DrawnStretch[] = []
  readonly rails: DrawnRail[] = []
  readonly turns: DrawnTurn[] = []
  y = margin

  get isEmpty(): boolean {
    return this.points.length === 0
  }

  /** A section begins here, or goes on here. */
  begin(words: string, wiring: Rung['wiring']): void {
    if (!this.isEmpty) this.y += sectionGap
    this.sections.push({ words, wiring, from: this.y, to: this.y })
    this.y += titleHeight
  }

  /** The section reaches down to here. */
  reach(): void {
    const last = this.sections.pop()
    if (last) this.sections.push({ ...last, to: this.y })
  }
}

/**
 * Lays a diagram out from its rungs on as many sheets as it takes: a line runs from the left rail to the
 * right, its load and what follows by the right rail, over several rows where one is too short for it. A
 * rung begins on a new sheet where the one before has no room for it and a whole sheet has.
 */
export function ladderSheets(diagram: Diagram, { abreast, height }: SheetSize): readonly LadderDrawing[] {
  const width = widthFor(abreast)
  const right = width - margin
  const rails = railsOf(diagram)
  const sheets: Sheet[] = []
  let sheet = new Sheet()
  sheets.push(sheet)

  const drawRow = ({ stops, begins, ends }: Row): void => {
    const drawn = lineOf(diagram, stops, sheet.y + rowHeight / 2, { left: margin, right, endsHere: ends })
    sheet.points.push(...drawn.points)
    sheet.stretches.push(...drawn.stretches)
    const [first] = drawn.points
    const last = drawn.points[drawn.points.length - 1]
    if (!begins) sheet.turns.push({ point: first, goes: 'from above' })
    else if (rails.left(first.point)) sheet.rails.push({ point: first, side: 'left' })
    if (!ends) sheet.turns.push({ point: last, goes: 'on below' })
    else if (rails.right(last.point)) sheet.rails.push({ point: last, side: 'right' })
    sheet.y += rowHeight
    sheet.reach()
  }

  for (const { wiring, words } of sectionsOf) {
    const rungs = diagram.rungs.filter((rung) => rung.wiring === wiring)
    let isBegun = false
    for (const rung of rungs) {
      const rows = rung.chains.flatMap((chain) => rowsOf(chain, abreast))
      const startOn = (next: Sheet | null): void => {
        if (next) sheets.push((sheet = next))
        if (next || !isBegun) sheet.begin(isBegun ? `${words}, on from the sheet before` : words, wiring)
        isBegun = true
      }
      const needs = titleHeight + rows.length * rowHeight + (isBegun ? 0 : sectionGap + titleHeight)
      const fitsAlone = margin + titleHeight + titleHeight + rows.length * rowHeight <= height
      const isFull = sheet.y + (fitsAlone ? needs : 3 * titleHeight + sectionGap + rowHeight) > height
      startOn(isFull && !sheet.isEmpty ? new Sheet() : null)
      const name = (more: string): void => {
        sheet.rungs.push({ words: rung.words + more, at: [margin + 12, sheet.y + 14] })
        sheet.y += titleHeight
      }
      name('')
      for (const row of rows) {
        if (sheet.y + rowHeight > height && !sheet.isEmpty) {
          startOn(new Sheet())
          name(', on from the sheet before')
        }
        drawRow(row)
      }
    }
  }
  return sheets.map(({ sections, rungs, points, stretches, rails: drawnRails, turns, y }): LadderDrawing => ({
    width,
    height: y + sectionGap,
    left: margin,
    right,
    sections,
    rungs,
    points,
    stretches,
    rails: drawnRails,
    turns,
  }))
}

const sectionsOf = [
  { wiring: 'line', words: 'Line voltage' },
  { wiring: 'control', words: 'Control' },
] as const
