import { Router } from 'express'
import type { Database } from '../db/connect'
import { boardOf } from '../services/board'
import { placesOf } from '../services/places'
import { whoAsks } from '../requests/signedIn'

export function placeRoutes(db: Database): Router {
  const router = Router()
  router.get('/board', async (request, response) => {
    response.json(await boardOf(db, whoAsks(request).shopId))
  })
  router.get('/places', async (request, response) => {
    response.json(await placesOf(db, whoAsks(request).shopId))
  })
  return router
}
