import express, { Router } from 'express'
import type { Database } from '../db/connect'
import { idOf } from '../requests/identity'
import { RequestProblem } from '../requests/problem'
import { whoAsks } from '../requests/signedIn'
import type { PictureDesk } from '../pictures/pictureDesk'
import { findPhoto, storePhoto } from '../services/photos'

const largestPhoto = '6mb'

export function photoRoutes(db: Database, pictures: PictureDesk): Router {
  const router = Router()
  router.put(
    '/photos/:id',
    express.raw({ type: 'image/*', limit: largestPhoto }),
    async (request, response) => {
      if (!Buffer.isBuffer(request.body) || request.body.length === 0)
        throw new RequestProblem(422, { error: 'send the picture itself, as image/jpeg' })
      await storePhoto(
        db,
        pictures,
        whoAsks(request),
        idOf(request.params.id, 'this picture'),
        idOf(request.query.visit, 'this visit'),
        request.body,
      )
      response.status(204).end()
    },
  )
  router.get('/photos/:id', async (request, response) => {
    const { type, image } = await findPhoto(
      db,
      whoAsks(request).shopId,
      idOf(request.params.id, 'this picture'),
    )
    response.type(type).set('Cache-Control', 'private, max-age=31536000, immutable').send(image)
  })
  return router
}
