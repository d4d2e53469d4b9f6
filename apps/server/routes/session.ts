import { Router } from 'express'
import { rateLimit } from 'express-rate-limit'
import { signInSchema } from '@jokulgale/contract/session'
import type { Database } from '../db/connect'
import { findPerson, signIn } from '../services/people'
import { checked, RequestProblem } from '../requests/problem'
import '../requests/signedIn'

export function sessionRoutes(db: Database, signInsPerMinute: number): Router {
  const router = Router()
  const limit = rateLimit({
    windowMs: 60_000,
    limit: signInsPerMinute,
    standardHeaders: true,
    legacyHeaders: false,
    message: { error: 'too many sign-ins; wait a minute' },
  })
  router.post('/', limit, async (request, response) => {
    const person = await signIn(db, await checked(signInSchema, request.body))
    if (!person) throw new RequestProblem(401, { error: 'this e-mail and password do not go together' })
    await new Promise<void>((resolve, reject) => {
      request.session.regenerate((error) => (error ? reject(error) : resolve()))
    })
    request.session.personId = person.id
    request.session.shopId = person.shop.id
    response.json(person)
  })
  router.get('/', async (request, response) => {
    // being signed out is an answer, not an error
    const { personId, shopId } = request.session
    response.json(personId && shopId ? await findPerson(db, { personId, shopId }) : null)
  })
  router.delete('/', async (request, response) => {
    await new Promise<void>((resolve, reject) => {
      request.session.destroy((error) => (error ? reject(error) : resolve()))
    })
    response.clearCookie('jokulgale').status(204).end()
  })
  return router
}
