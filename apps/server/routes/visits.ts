import { Router } from 'express'
import { newVisitSchema, sentEntriesSchema } from '@jokulgale/contract/visit'
import type { Database } from '../db/connect'
import { entriesOf, storeEntries } from '../services/entries'
import { findVisit, startVisit, visitsOfUnit } from '../services/visits'
import { idOf } from '../requests/identity'
import { checked, notFound } from '../requests/problem'
import { whoAsks } from '../requests/signedIn'

export function visitRoutes(db: Database): Router {
  const router = Router()
  router.post('/visits', async (request, response) => {
    const { visit, isNew } = await startVisit(
      db,
      whoAsks(request),
      await checked(newVisitSchema, request.body),
    )
    response.status(isNew ? 201 : 200).json(visit)
  })
  router.get('/visits/:id', async (request, response) => {
    const visit = await findVisit(db, whoAsks(request).shopId, idOf(request.params.id, 'this visit'))
    if (!visit) throw notFound('this visit')
    response.json(visit)
  })
  router.get('/visits/:id/entries', async (request, response) => {
    const { shopId } = whoAsks(request)
    const visit = await findVisit(db, shopId, idOf(request.params.id, 'this visit'))
    if (!visit) throw notFound('this visit')
    const after = Number(request.query.after ?? 0)
    response.json({ entries: await entriesOf(db, shopId, visit.id, Number.isSafeInteger(after) ? after : 0) })
  })
  router.get('/units/:id/visits', async (request, response) => {
    response.json({
      visits: await visitsOfUnit(db, whoAsks(request).shopId, idOf(request.params.id, 'this unit')),
    })
  })
  router.post('/entries', async (request, response) => {
    const { entries } = await checked(sentEntriesSchema, request.body)
    response.json({ stored: await storeEntries(db, whoAsks(request), entries) })
  })
  return router
}
