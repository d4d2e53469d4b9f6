import { Router } from 'express'
import { reportCsv } from '@jokulgale/core/visit/reportCsv'
import type { Database } from '../db/connect'
import { idOf } from '../requests/identity'
import { whoAsks } from '../requests/signedIn'
import type { PictureDesk } from '../pictures/pictureDesk'
import { paperPhotos } from '../services/photos'
import type { ReportFonts } from '../services/paper'
import { reportPdf, visitReport } from '../services/reports'

export function reportRoutes(db: Database, fonts: ReportFonts, pictures: PictureDesk): Router {
  const router = Router()
  const load = (request: Parameters<typeof whoAsks>[0]) =>
    visitReport(db, whoAsks(request).shopId, idOf(request.params.id, 'this visit'))
  router.get('/visits/:id/report.pdf', async (request, response) => {
    const found = await load(request)
    const { shopId } = whoAsks(request)
    const photos = await paperPhotos(db, pictures, shopId, idOf(request.params.id, 'this visit'))
    response
      .type('application/pdf')
      .attachment(`report-${found.unit.label}-${found.day}.pdf`)
      .send(await reportPdf(found, photos, fonts))
  })
  router.get('/visits/:id/report.csv', async (request, response) => {
    const { report, unit, day } = await load(request)
    response.type('text/csv').attachment(`report-${unit.label}-${day}.csv`).send(reportCsv(report))
  })
  router.get('/visits/:id/report.json', async (request, response) => {
    const { report, unit, site, day, state } = await load(request)
    response.json({
      unit,
      site,
      day,
      report,
      entries: state.entries.map(({ id, clock, body }) => ({ id, clock, body })),
    })
  })
  return router
}
