import { Router, type Request } from 'express'
import { reportCsv } from '@jokulgale/core/visit/reportCsv'
import type { Database } from '../db/connect'
import { idOf } from '../requests/identity'
import { paperAsked } from '../requests/paperAsked'
import { whoAsks } from '../requests/signedIn'
import type { OrderPrint } from '../paper/printOrder'
import { visitReport } from '../paper/visitReport'
import { visitPapers, visitPlace } from '../services/reports'

export function reportRoutes(db: Database, orderPrint: OrderPrint): Router {
  const router = Router()
  const load = (request: Request) =>
    visitPapers(db, whoAsks(request).shopId, idOf(request.params.id, 'this visit'), offsetOf(request))
  router.get('/visits/:id/report.pdf', async (request, response) => {
    const { shopId } = whoAsks(request)
    const visit = idOf(request.params.id, 'this visit')
    // the log is read by whoever prints it
    const { unit, day } = await visitPlace(db, shopId, visit)
    const pdf = await orderPrint({
      print: 'report',
      shop: shopId,
      visit,
      utcOffsetMinutes: offsetOf(request),
      size: paperAsked(request),
    })
    response.type('application/pdf').attachment(`report-${unit.label}-${day}.pdf`).send(Buffer.from(pdf))
  })
  router.get('/visits/:id/report.csv', async (request, response) => {
    const { report, unit, day } = visitReport(await load(request))
    response.type('text/csv').attachment(`report-${unit.label}-${day}.csv`).send(reportCsv(report))
  })
  router.get('/visits/:id/report.json', async (request, response) => {
    const { report, unit, site, day, state } = visitReport(await load(request))
    response.attachment(`report-${unit.label}-${day}.json`).json({
      unit,
      site,
      day,
      report,
      entries: state.entries.map(({ id, clock, body }) => ({ id, clock, body })),
    })
  })
  return router
}

/** No place is further from UTC, minutes. */
const furthest = 14 * 60

/** `?offset=-300`: minutes that the time of the place is ahead of UTC. */
function offsetOf({ query }: Request): number {
  const given = Number(query.offset ?? 0)
  return Number.isInteger(given) && Math.abs(given) <= furthest ? given : 0
}
