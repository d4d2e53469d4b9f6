import { Router } from 'express'
import type { Database } from '../db/connect'
import { idOf } from '../requests/identity'
import { whoAsks } from '../requests/signedIn'
import { experienceOf, glanceAt, pairingsOf, panelOf } from '../services/records'
import { visitsWithWords } from '../services/search'
import { calendarOf, openMeasuresOf } from '../services/register'

export function recordRoutes(db: Database): Router {
  const router = Router()
  router.get('/temporary', async (request, response) => {
    response.json({ measures: await openMeasuresOf(db, whoAsks(request)) })
  })
  router.get('/temporary.ics', async (request, response) => {
    response
      .type('text/calendar')
      .attachment('temporary-measures.ics')
      .send(calendarOf(await openMeasuresOf(db, whoAsks(request))))
  })
  router.get('/search', async (request, response) => {
    const { words } = request.query
    response.json({
      visits: await visitsWithWords(db, whoAsks(request), typeof words === 'string' ? words : ''),
    })
  })
  router.get('/experience', async (request, response) => {
    response.json(await experienceOf(db, whoAsks(request).shopId))
  })
  router.get('/units/:id/record', async (request, response) => {
    response.json(await glanceAt(db, whoAsks(request).shopId, idOf(request.params.id, 'this unit')))
  })
  router.get('/units/:id/panel', async (request, response) => {
    response.json(await panelOf(db, whoAsks(request).shopId, idOf(request.params.id, 'this unit')))
  })
  router.get('/sites/:id/pairings', async (request, response) => {
    response.json(await pairingsOf(db, whoAsks(request).shopId, idOf(request.params.id, 'this site')))
  })
  return router
}
