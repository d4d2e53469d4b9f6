import { create } from 'qrcode'
import type { SiteRecord, UnitRecord } from '@jokulgale/contract/places'
import { newPaper, type ReportFonts } from './paper'

/** A sheet of A4 labels: columns, rows, and the size of a code, in points. */
const sheet = { margin: 36, columns: 3, rows: 7, code: 78, gap: 8 } as const

/** A unit and where it stands. */
export interface Labelled {
  readonly unit: UnitRecord
  readonly site: SiteRecord
}

/**
 * Labels for units, each with a code that opens the unit on a phone: `origin` is where the application is.
 */
export function labelsPdf(
  labelled: readonly Labelled[],
  origin: string,
  fonts: ReportFonts,
): Promise<Buffer> {
  const { document, whole } = newPaper('Unit labels', fonts, { margin: sheet.margin })
  const width = (document.page.width - 2 * sheet.margin) / sheet.columns
  const height = (document.page.height - 2 * sheet.margin) / sheet.rows
  const perSheet = sheet.columns * sheet.rows
  for (const [k, { unit, site }] of labelled.entries()) {
    const place = k % perSheet
    if (k > 0 && place === 0) document.addPage()
    const x = sheet.margin + (place % sheet.columns) * width
    const y = sheet.margin + Math.floor(place / sheet.columns) * height
    const beside = { width: width - sheet.code - 2 * sheet.gap, height: 60, ellipsis: true }
    drawCode(document, `${origin}/units/${unit.id}`, x, y)
    document.font('strong').fontSize(13)
    document.text(unit.label, x + sheet.code + sheet.gap, y, { ...beside, height: 34 })
    document.font('text').fontSize(8)
    document.text(
      [site.name, unit.place].filter(Boolean).join('\n'),
      x + sheet.code + sheet.gap,
      document.y + 2,
      beside,
    )
  }
  document.end()
  return whole
}

/** A code as filled squares, a run of dark ones at a time: as sharp as the printer. */
function drawCode(document: PDFKit.PDFDocument, text: string, left: number, top: number): void {
  const { size, data } = create(text, { errorCorrectionLevel: 'M' }).modules
  const side = sheet.code / size
  for (let row = 0; row < size; row++)
    for (let column = 0; column < size; column++) {
      const from = column
      while (column < size && data[row * size + column]) column++
      if (column > from) document.rect(left + from * side, top + row * side, (column - from) * side, side)
    }
  document.fill('black')
}
