import SVGtoPDF from 'svg-to-pdfkit'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { ladderDrawing } from '@jokulgale/core/diagram/ladderDrawing'
import { ladderSvg } from '@jokulgale/core/formats/ladderSvg'
import { newPaper, type ReportFonts } from './paper'

const margin = 30
/** Room that the drawing has for its title, above. */
const titleHeight = 30

/** A circuit's whole ladder on one sheet as large as it needs: a printer fits it to its own. Throws DiagramError. */
export function drawingPdf(ladder: string, fonts: ReportFonts): Promise<Buffer> {
  const diagram = readLadder(ladder)
  const { width, height } = ladderDrawing(diagram)
  const { document, whole } = newPaper(diagram.title, fonts, {
    size: [width + 2 * margin, height + titleHeight + 2 * margin],
    margin,
  })
  SVGtoPDF(document, ladderSvg(diagram), margin, margin, {
    assumePt: true,
    fontCallback: (_, bold) => (bold ? 'strong' : 'text'),
  })
  document.end()
  return whole
}
