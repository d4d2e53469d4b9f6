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
import { railsOf, type Rails } from './ladderRails'

/**
 * What a sheet has room for: points abreast in a row, two at the least, and its height in units of the
 * drawing.
 */
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

const onwards = ', on from the sheet before'

const sections = [
  { wiring: 'line', words: 'Line voltage' },
  { wiring: 'control', words: 'Control' },
] as const
type Section = (typeof sections)[number]

/**
 * Lays a diagram out from its rungs on as many sheets as it takes: a line runs from the left rail to the
 * right, its load and what follows by the right rail, over several rows where one is too short for it. A
 * rung begins on a new sheet where the one before has no room for it and a whole sheet has.
 */
export function ladderSheets(diagram: Diagram, size: SheetSize): readonly LadderDrawing[] {
  const sheets = new Sheets(diagram, size)
  for (const section of sections)
    for (const rung of diagram.rungs.filter(({ wiring }) => wiring === section.wiring))
      sheets.draw(section, rung)
  return sheets.drawn()
}

/** Sheets while rungs are put on them, the last of them being filled. */
class Sheets {
  private readonly all: Sheet[]
  private readonly rails: Rails
  private section: Section | null = null

  constructor(
    private readonly diagram: Diagram,
    private readonly size: SheetSize,
  ) {
    this.rails = railsOf(diagram)
    this.all = [this.emptySheet()]
  }

  draw(section: Section, { words, chains }: Rung): void {
    const rows = chains.flatMap((chain) => rowsOf(chain, this.size.abreast))
    const isBegun = this.section === section
    if (!this.sheet.isEmpty && !this.hasRoom(rows.length, isBegun)) this.turn()
    if (this.sheet.isEmpty || !isBegun) this.sheet.begin(section, isBegun)
    this.section = section
    this.sheet.name(words)
    for (const row of rows) {
      if (this.sheet.y + rowHeight > this.size.height && !this.sheet.isEmpty) {
        this.turn()
        this.sheet.begin(section, true)
        this.sheet.name(words + onwards)
      }
      this.sheet.draw(row)
    }
  }

  drawn(): readonly LadderDrawing[] {
    return this.all.map((sheet) => sheet.drawn())
  }

  private get sheet(): Sheet {
    return this.all[this.all.length - 1]
  }

  private turn(): void {
    this.all.push(this.emptySheet())
  }

  private emptySheet(): Sheet {
    return new Sheet(this.diagram, this.rails, this.size.abreast)
  }

  /** Whether a rung of so many rows fits on what is left of the sheet; of one that fits on none, its first. */
  private hasRoom(rows: number, isBegun: boolean): boolean {
    const { height } = this.size
    const heightOf = (count: number): number => titleHeight + count * rowHeight
    const fitsAlone = margin + titleHeight + heightOf(rows) <= height
    const section = isBegun ? 0 : sectionGap + titleHeight
    return this.sheet.y + section + heightOf(fitsAlone ? rows : 1) <= height
  }
}

/** One sheet while rows are put on it. */
class Sheet {
  y = margin
  private readonly width: number
  private readonly right: number
  private readonly made: {
    readonly sections: DrawnSection[]
    readonly rungs: DrawnRung[]
    readonly points: DrawnPoint[]
    readonly stretches: DrawnStretch[]
    readonly rails: DrawnRail[]
    readonly turns: DrawnTurn[]
  } = { sections: [], rungs: [], points: [], stretches: [], rails: [], turns: [] }

  constructor(
    private readonly diagram: Diagram,
    private readonly rails: Rails,
    abreast: number,
  ) {
    this.width = widthFor(abreast)
    this.right = this.width - margin
  }

  get isEmpty(): boolean {
    return this.made.points.length === 0
  }

  /** A section begins here, or goes on here. */
  begin({ words, wiring }: Section, isBegun: boolean): void {
    if (!this.isEmpty) this.y += sectionGap
    this.made.sections.push({ words: isBegun ? words + onwards : words, wiring, from: this.y, to: this.y })
    this.y += titleHeight
  }

  name(words: string): void {
    this.made.rungs.push({ words, at: [margin + 12, this.y + 14] })
    this.y += titleHeight
  }

  draw({ stops, begins, ends }: Row): void {
    const { points, stretches, rails, turns } = this.made
    const at = { left: margin, right: this.right, endsHere: ends }
    const drawn = lineOf(this.diagram, stops, this.y + rowHeight / 2, at)
    points.push(...drawn.points)
    stretches.push(...drawn.stretches)
    const [first] = drawn.points
    const last = drawn.points[drawn.points.length - 1]
    if (!begins) turns.push({ point: first, goes: 'from above' })
    else if (this.rails.left(first.point)) rails.push({ point: first, side: 'left' })
    if (!ends) turns.push({ point: last, goes: 'on below' })
    else if (this.rails.right(last.point)) rails.push({ point: last, side: 'right' })
    this.y += rowHeight
    this.reach()
  }

  drawn(): LadderDrawing {
    return {
      width: this.width,
      height: this.y + sectionGap,
      left: margin,
      right: this.right,
      ...this.made,
    }
  }

  /** The section reaches down to here. */
  private reach(): void {
    const { sections: begun } = this.made
    const last = begun.pop()
    if (last) begun.push({ ...last, to: this.y })
  }
}
