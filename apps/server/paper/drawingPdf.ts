import SVGtoPDF from 'svg-to-pdfkit'
import { zoneWords, type Diagram } from '@jokulgale/core/diagram/diagram'
import { widthFor } from '@jokulgale/core/diagram/drawnSizes'
import { ladderSheets } from '@jokulgale/core/diagram/ladderSheets'
import { plateRatings } from '@jokulgale/core/diagram/plateRatings'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { drawingSvg, titleRoom } from '@jokulgale/core/formats/ladderSvg'
import { newPaper, type PaperSize, type ReportFonts } from './paper'

const margin = 30
/** Points abreast on a sheet: with so many, the smallest words are of some seven points. */
const abreast = 6
const columns = 2
const columnGap = 18

/**
 * A circuit's ladder on as many sheets of a printer as it takes, and what the letters in its boxes stand
 * for. Throws DiagramError.
 */
export function drawingPdf(ladder: string, fonts: ReportFonts, size: PaperSize): Promise<Buffer> {
  const diagram = readLadder(ladder)
  const { document, whole } = newPaper(diagram.title, fonts, { size, margin })
  const { width, height } = document.page
  const scale = (width - 2 * margin) / widthFor(abreast)
  const sheets = ladderSheets(diagram, { abreast, height: (height - 2 * margin) / scale - titleRoom })
  for (const [k, sheet] of sheets.entries()) {
    if (k > 0) document.addPage()
    const title = sheets.length > 1 ? `${diagram.title}, ${k + 1} of ${sheets.length}` : diagram.title
    document.save().translate(margin, margin).scale(scale)
    SVGtoPDF(document, drawingSvg(sheet, title), 0, 0, {
      assumePt: true,
      fontCallback: (_, bold) => (bold ? 'strong' : 'text'),
    })
    document.restore()
  }
  document.addPage()
  listParts(document, diagram)
  document.end()
  return whole
}

/** What each box of the drawing is, where it is, and its figures. */
function listParts(document: PDFKit.PDFDocument, diagram: Diagram): void {
  const ratings = plateRatings(diagram).filter(({ isRead }) => isRead)
  document.font('strong').fontSize(14).text(`Parts of ${diagram.title}`).moveDown(0.5)
  document.font('text').fontSize(9)
  const lines = [...diagram.parts.values()].map(({ id, words, zone }) => {
    const figures = ratings.filter(({ part }) => part === id).map(({ value, unit }) => `, ${value} ${unit}`)
    return `${id}: ${words}${figures.join('')} (${zoneWords(diagram, zone)})`
  })
  document.text(lines.join('\n'), { columns, columnGap, lineGap: 2 })
}
