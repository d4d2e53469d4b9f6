import SVGtoPDF from 'svg-to-pdfkit'
import { gather } from '@jokulgale/core/visit/evidence'
import { modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { measuredStrips } from '@jokulgale/core/diagnosis/strip'
import { stripSvg } from '@jokulgale/core/formats/stripSvg'
import { reportOf, type Report } from '@jokulgale/core/visit/report'
import { foldVisit, type VisitState } from '@jokulgale/core/visit/visitState'
import type { Database } from '../db/connect'
import { notFound } from '../requests/problem'
import { entriesOf } from './entries'
import { diagramsById } from './diagrams'
import { drawnUnits, type DrawnUnit } from './logs'
import { newPaper, type ReportFonts } from './paper'
import type { PaperPhoto } from './photos'
import { findVisit } from './visits'

export interface VisitReport extends DrawnUnit {
  readonly report: Report
  readonly state: VisitState
  readonly day: string
}

/** A visit's report with all that goes with it. */
export async function visitReport(db: Database, shopId: string, id: string): Promise<VisitReport> {
  const visit = await findVisit(db, shopId, id)
  if (!visit) throw notFound('this visit')
  const [[unit], circuits, log] = await Promise.all([
    drawnUnits(db, shopId, { unit: visit.unit }),
    diagramsById(db, shopId, [visit.diagram]),
    entriesOf(db, shopId, id, 0),
  ])
  if (!unit) throw notFound('this unit')
  const drawn = { ...unit, diagram: circuits.get(visit.diagram) ?? unit.diagram }
  const state = foldVisit(log, drawn.diagram)
  return {
    ...drawn,
    state,
    report: reportOf(state, drawn.diagram),
    day: visit.startedAt.slice(0, 10),
  }
}

const margin = 50
const ink = '#16242d'
const quiet = '#435966'
const photoWidth = 230

/** The report as a document for paper: the strip drawn as vectors, photos at the end. */
export function reportPdf(
  { report, unit, site, diagram, state, day }: VisitReport,
  photos: readonly PaperPhoto[],
  fonts: ReportFonts,
): Promise<Buffer> {
  const { document, whole } = newPaper(`Report ${unit.label}, ${site.name}`, fonts, {
    margin,
    bufferPages: true,
  })
  const width = document.page.width - 2 * margin
  const room = (height: number): void => {
    if (document.y + height > document.page.height - margin) document.addPage()
  }
  document
    .font('strong')
    .fontSize(20)
    .fillColor(report.unsafe.length > 0 ? '#a11334' : ink)
    .text(report.headline)
  document
    .font('text')
    .fontSize(11)
    .fillColor(quiet)
    .text(
      [unit.label, unit.place, unit.make, unit.serial && `serial ${unit.serial}`].filter(Boolean).join(', '),
    )
    .text(`${site.name}, ${site.address}. ${day}`)
    .text(diagram.title)
  for (const words of report.unsafe)
    document.moveDown(0.5).font('strong').fontSize(12).fillColor('#a11334').text(words)
  if (report.plain) document.moveDown().font('text').fontSize(13).fillColor(ink).text(report.plain)
  for (const { title, lines, none } of report.sections) {
    room(60)
    document.moveDown().font('strong').fontSize(12).fillColor(ink).text(title, margin)
    if (lines.length === 0) document.font('text').fontSize(10).fillColor(quiet).text(none)
    for (const { left, right, small } of lines) {
      room(30)
      const { y } = document
      document
        .font('text')
        .fontSize(10)
        .fillColor(ink)
        .text(left, margin, y, { width: width * 0.68 })
      const below = document.y
      if (right)
        document.font('strong').text(right, margin + width * 0.7, y, { width: width * 0.3, align: 'right' })
      document.y = Math.max(below, document.y)
      if (small) document.font('text').fontSize(9).fillColor(quiet).text(small, margin, document.y, { width })
    }
  }
  for (const strip of stripsAsFound(state, diagram)) {
    const height = 40 + 22 * strip.stops.length
    room(Math.min(height, document.page.height - 2 * margin))
    document.moveDown()
    SVGtoPDF(document, stripSvg(strip), margin, document.y, {
      width,
      assumePt: true,
      fontCallback: () => 'text',
    })
    document.y += height
  }
  for (const { image, id } of photos) {
    room(200)
    const of = state.photos.find(({ body }) => body.photo === id)?.body
    document
      .moveDown()
      .font('text')
      .fontSize(9)
      .fillColor(quiet)
      .text([of?.of, of?.words].filter(Boolean).join(': ') || 'Photo', margin)
    if (image) {
      document.image(image, margin, document.y, { fit: [photoWidth, 170] })
      document.y += 176
    } else document.text('(this picture cannot be read)')
  }
  room(40)
  document.moveDown().font('text').fontSize(9).fillColor(quiet).text(report.caution, margin)
  document.end()
  return whole
}

/** The paths of the call as they were when it was last measured before anything was repaired. */
function stripsAsFound(state: VisitState, diagram: DrawnUnit['diagram']) {
  const bodies = state.entries.map(({ body }) => body)
  const repaired = bodies.findIndex(({ kind }) => kind === 'repair')
  const found = repaired < 0 ? bodies : bodies.slice(0, repaired)
  if (!found.some(({ kind }) => kind === 'reading')) return []
  return measuredStrips(
    modelOf(diagram),
    gather(diagram, { complaint: state.complaint, entries: found }),
  ).slice(0, 2)
}
