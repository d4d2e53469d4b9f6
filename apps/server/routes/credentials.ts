import { Router } from 'express'
import type { SendCredential } from '@jokulgale/contract/session'
import type { Database } from '../db/connect'
import { bearerOf, whoAsks } from '../requests/signedIn'
import { endCredential, makeCredential } from '../services/sendCredentials'

/** What a device keeps so that it can send what is unsent after its person has signed out. */
export function credentialRoutes(db: Database): Router {
  const router = Router()
  router.post('/send-credential', async (request, response) => {
    const made: SendCredential = await makeCredential(db, whoAsks(request), request.sessionID)
    response.status(201).json(made)
  })
  router.delete('/send-credential', async (request, response) => {
    await endCredential(db, bearerOf(request))
    response.status(204).end()
  })
  return router
}
