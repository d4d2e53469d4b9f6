import { Router } from 'express'
import { factorBeginSchema, factorConfirmSchema, factorEndSchema } from '@jokulgale/contract/secondFactor'
import type { Database } from '../db/connect'
import { idOf } from '../requests/identity'
import { checked } from '../requests/problem'
import { whoAsks } from '../requests/signedIn'
import { beginFactor, confirmFactor, endFactor, endFactorOf, factorState } from '../services/secondFactors'

/** Everybody's own second factor, and the owner's way to end a lost one. */
export function secondFactorRoutes(db: Database): Router {
  const router = Router()
  router.get('/second-factor', async (request, response) => {
    response.json(await factorState(db, whoAsks(request)))
  })
  router.post('/second-factor', async (request, response) => {
    const { password } = await checked(factorBeginSchema, request.body)
    response.status(201).json(await beginFactor(db, whoAsks(request), password))
  })
  router.post('/second-factor/confirm', async (request, response) => {
    const { code } = await checked(factorConfirmSchema, request.body)
    response.json(await confirmFactor(db, whoAsks(request), code))
  })
  router.post('/second-factor/end', async (request, response) => {
    await endFactor(db, whoAsks(request), await checked(factorEndSchema, request.body))
    response.status(204).end()
  })
  router.post('/people/:id/second-factor-end', async (request, response) => {
    await endFactorOf(db, whoAsks(request), idOf(request.params.id, 'this person'))
    response.status(204).end()
  })
  return router
}
