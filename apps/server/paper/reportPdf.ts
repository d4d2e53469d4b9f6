import SVGtoPDF from 'svg-to-pdfkit'
import type { Strip } from '@jokulgale/core/diagnosis/strip'
import { stripSize, stripSvg } from '@jokulgale/core/formats/stripSvg'
import type { ReportLine, ReportSection } from '@jokulgale/core/visit/report'
import { newPaper, type PaperSize, type ReportFonts } from './paper'
import type { PaperPhoto } from './paperPhoto'
import { stripsAsFound, type VisitReport } from './visitReport'

const margin = 50
const ink = '#16242d'
const quiet = '#435966'
const danger = '#a11334'
const photoWidth = 230

type Tag = 'H1' | 'H2' | 'P' | 'Figure'

/** A document that is written from the top down, each piece under its tag. */
class Page {
  private readonly root: PDFKit.PDFStructureElement
  constructor(readonly document: PDFKit.PDFDocument) {
    this.root = document.struct('Document')
    document.addStructure(this.root)
  }

  get width(): number {
    return this.document.page.width - 2 * margin
  }

  /** A new sheet where less than this is left, points. */
  room(height: number): void {
    const { document } = this
    if (document.y + height > document.page.height - margin) document.addPage()
  }

  add(tag: Tag, write: (document: PDFKit.PDFDocument) => void, alt?: string): void {
    const element = this.document.struct(tag, alt === undefined ? {} : { alt }, () => {
      write(this.document)
    })
    this.root.add(element)
  }

  text(
    words: string,
    size: number,
    color: string = ink,
    font: 'text' | 'strong' = 'text',
    tag: Tag = 'P',
  ): void {
    if (words === '') return
    this.add(tag, (document) => {
      document
        .font(font)
        .fontSize(size)
        .fillColor(color)
        .text(words, margin, document.y, { width: this.width })
    })
  }

  end(): void {
    this.root.end()
    this.document.end()
  }
}

/** The report as a document for paper: the strip drawn as vectors, photos and the signature at the end. */
export function reportPdf(
  found: VisitReport,
  photos: readonly PaperPhoto[],
  fonts: ReportFonts,
  size: PaperSize,
): Promise<Buffer> {
  const { report, unit, site } = found
  const { document, whole } = newPaper(`Report ${unit.label}, ${site.name}`, fonts, {
    margin,
    size,
    bufferPages: true,
    // each piece stands under its tag: a reader aloud finds its way in it
    pdfVersion: '1.5',
    tagged: true,
    displayTitle: true,
    lang: 'en',
  })
  const page = new Page(document)
  writeHead(page, found)
  for (const section of report.sections) writeSection(page, section)
  page.document.moveDown()
  page.text(report.caution, 9, quiet)
  for (const strip of stripsAsFound(found)) writeStrip(page, strip)
  for (const photo of photos) writePhoto(page, photo, found)
  writeSignature(page, found)
  page.end()
  return whole
}

function writeHead(page: Page, { report, day }: VisitReport): void {
  const { head, headline, unsafe, plain } = report
  page.text(head.shop, 12, quiet, 'strong')
  page.document.moveDown(0.5)
  page.text(headline, 20, unsafe.length > 0 ? danger : ink, 'strong', 'H1')
  page.text(head.unit, 11, quiet)
  page.text(head.site, 11, quiet)
  page.text(head.circuit, 11, quiet)
  page.text(head.plate, 9, quiet)
  page.text(`On site: ${head.times.join('; ') || day}`, 11, quiet)
  page.text(head.technicians.length > 0 ? `By ${head.technicians.join(', ')}` : '', 11, quiet)
  for (const words of unsafe) {
    page.document.moveDown(0.5)
    page.text(words, 12, danger, 'strong')
  }
  if (plain) page.document.moveDown()
  page.text(plain, 13)
}

function writeSection(page: Page, { title, lines, none }: ReportSection): void {
  page.room(60)
  page.document.moveDown()
  page.text(title, 12, ink, 'strong', 'H2')
  if (lines.length === 0) page.text(none, 10, quiet)
  for (const each of lines) writeLine(page, each)
}

/** What on the left, its value on the right, and what more there is to say below, however long each is. */
function writeLine(page: Page, { left, right, small }: ReportLine): void {
  const { document, width } = page
  const rightWidth = width * 0.3
  document.font('strong').fontSize(10)
  const rightHeight = right ? document.heightOfString(right, { width: rightWidth }) : 0
  document.font('text').fontSize(10)
  const leftHeight = document.heightOfString(left, { width: width * 0.68 })
  page.room(Math.min(Math.max(leftHeight, rightHeight) + 4, document.page.height - 2 * margin))
  page.add('P', () => {
    const { y } = document
    document
      .font('text')
      .fontSize(10)
      .fillColor(ink)
      .text(left, margin, y, { width: width * 0.68 })
    const below = document.y
    if (right)
      document
        .font('strong')
        .fontSize(10)
        .text(right, margin + width * 0.7, y, { width: rightWidth, align: 'right' })
    document.y = Math.max(below, document.y)
  })
  page.text(small, 9, quiet)
}

/** A strip as vectors; one that is longer than a sheet is drawn smaller. */
function writeStrip(page: Page, strip: Strip): void {
  const { document } = page
  const sheet = document.page.height - 2 * margin
  const drawn = stripSize(strip)
  const scale = Math.min(page.width / drawn.width, sheet / drawn.height)
  const height = drawn.height * scale
  document.moveDown()
  page.room(height)
  const { y } = document
  page.add(
    'Figure',
    () => {
      document.save().translate(margin, y).scale(scale)
      SVGtoPDF(document, stripSvg(strip), 0, 0, { assumePt: true, fontCallback: () => 'text' })
      document.restore()
    },
    `The path of ${strip.words}, stop by stop`,
  )
  document.y = y + height
}

function writePhoto(page: Page, { image, id }: PaperPhoto, { state }: VisitReport): void {
  const { document } = page
  page.room(200)
  const of = state.photos.find(({ body }) => body.photo === id)?.body
  const words = [of?.of, of?.words].filter(Boolean).join(': ') || 'Photo'
  document.moveDown()
  page.text(words, 9, quiet)
  if (!image) {
    page.text('(this picture cannot be read)', 9, quiet)
    return
  }
  page.add(
    'Figure',
    () => {
      document.image(image, margin, document.y, { fit: [photoWidth, 170] })
    },
    words,
  )
  document.y += 176
}

/** Strokes are drawn in a field of so many by so many. */
const signatureField = { width: 600, height: 200 } as const
const signatureScale = 0.35

function writeSignature(page: Page, { report: { signed } }: VisitReport): void {
  if (!signed) return
  const { document } = page
  page.room(110)
  document.moveDown()
  const { y } = document
  if (signed.strokes) {
    page.add(
      'Figure',
      () => {
        document
          .save()
          .translate(margin, y)
          .scale(signatureScale)
          .path(signed.strokes)
          .lineWidth(4)
          .stroke(ink)
          .restore()
      },
      `Signature of ${signed.by}`,
    )
    document.y = y + signatureField.height * signatureScale + 4
  }
  page.text(`Signed for by ${signed.by}`, 10)
}
