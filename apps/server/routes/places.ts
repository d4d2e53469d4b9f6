import { Router } from 'express'
import { newDiagramSchema, sentPlaceEditsSchema } from '@jokulgale/contract/placeEdits'
import type { Database } from '../db/connect'
import type { OrderPrint } from '../paper/printOrder'
import { idOf } from '../requests/identity'
import { paperAsked } from '../requests/paperAsked'
import { checked } from '../requests/problem'
import { whoAsks } from '../requests/signedIn'
import { boardOf } from '../services/board'
import { findDiagram, storeDiagram } from '../services/diagrams'
import { storePlaceEdits } from '../services/placeEdits'
import { placesOf } from '../services/places'
import { labelledUnits } from '../services/printJobs'

export function placeRoutes(db: Database, orderPrint: OrderPrint): Router {
  const router = Router()
  router.get('/board', async (request, response) => {
    response.json(await boardOf(db, whoAsks(request)))
  })
  router.get('/places', async (request, response) => {
    response.json(await placesOf(db, whoAsks(request)))
  })
  router.post('/place-edits', async (request, response) => {
    const { edits } = await checked(sentPlaceEditsSchema, request.body)
    const who = whoAsks(request)
    response.json({
      stored: await db.transaction((transaction) => storePlaceEdits(transaction, who, edits)),
    })
  })
  router.get('/diagrams/:id', async (request, response) => {
    response.json(await findDiagram(db, whoAsks(request).shopId, String(request.params.id).slice(0, 200)))
  })
  router.get('/diagrams/:id/drawing.pdf', async (request, response) => {
    const { shopId } = whoAsks(request)
    const { id, title } = await findDiagram(db, shopId, String(request.params.id).slice(0, 200))
    response
      .type('application/pdf')
      .attachment(`${title}.pdf`)
      .send(
        Buffer.from(
          await orderPrint({ print: 'drawing', shop: shopId, diagram: id, size: paperAsked(request) }),
        ),
      )
  })
  router.post('/diagrams', async (request, response) => {
    const sent = await checked(newDiagramSchema, request.body)
    response.status(201).json(await storeDiagram(db, whoAsks(request), sent))
  })
  router.get('/labels.pdf', async (request, response) => {
    const site = request.query.site === undefined ? null : idOf(request.query.site, 'this site')
    const { shopId } = whoAsks(request)
    await labelledUnits(db, shopId, site)
    const origin = `${request.protocol}://${request.get('host') ?? ''}`
    response
      .type('application/pdf')
      .attachment('unit-labels.pdf')
      .send(Buffer.from(await orderPrint({ print: 'labels', shop: shopId, site, origin })))
  })
  return router
}
