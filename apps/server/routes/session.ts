import { Router, type Request, type RequestHandler } from 'express'
import { forgottenSchema, linkUseSchema, newShopSchema, type FrontDoor } from '@jokulgale/contract/people'
import { signInSchema, type Person, type SignIn } from '@jokulgale/contract/session'
import type { Database } from '../db/connect'
import type { OrderLetter } from '../jobs/letters'
import { checked, notFound, RequestProblem } from '../requests/problem'
import { stillHere, type Who } from '../requests/signedIn'
import { forgetOldSessions } from '../services/devices'
import { openLink, orderForgotten, useLink } from '../services/links'
import { findPerson } from '../services/people'
import { frontDoor, makeShop } from '../services/shops'
import { letIn, signIn } from '../services/signIn'

/** What is open to somebody who is not signed in: the door, a sign-in, the first shop, a link. */
export function sessionRoutes(db: Database, limit: RequestHandler, orderLetter: OrderLetter | null): Router {
  const router = Router()
  const comeIn = async (request: Request, person: Person): Promise<Person> => {
    await forgetOldSessions(db)
    await begin(request, person)
    return person
  }
  const enter = async (request: Request, given: SignIn): Promise<Person> =>
    comeIn(request, await signIn(db, given))
  router.post('/session', limit, async (request, response) => {
    response.json(await enter(request, await checked(signInSchema, request.body)))
  })
  router.get('/session', async (request, response) => {
    const who = await whoIfAny(db, request)
    response.json(who ? await findPerson(db, who) : null)
  })
  router.delete('/session', async (request, response) => {
    await new Promise<void>((resolve, reject) => {
      request.session.destroy((error) => (error ? reject(error) : resolve()))
    })
    response.clearCookie('jokulgale').status(204).end()
  })
  router.get('/front-door', async (_request, response) => {
    response.json({ ...(await frontDoor(db)), hasPost: orderLetter !== null } satisfies FrontDoor)
  })
  router.post('/shop', limit, async (request, response) => {
    const given = await checked(newShopSchema, request.body)
    await makeShop(db, given)
    response.status(201).json(await enter(request, { ...given, code: '' }))
  })
  router.post('/forgotten', limit, async (request, response) => {
    const { email } = await checked(forgottenSchema, request.body)
    const order = orderLetter ? await orderForgotten(db, email) : null
    if (order) await orderLetter?.(order)
    // the same answer whether or not somebody has this e-mail
    response.status(204).end()
  })
  router.get('/links/:token', limit, async (request, response) => {
    response.json(await openLink(db, String(request.params.token)))
  })
  router.post('/links/:token', limit, async (request, response) => {
    const given = await checked(linkUseSchema, request.body)
    const who = await useLink(db, String(request.params.token), given)
    const person = await findPerson(db, who)
    if (!person) throw notFound('this person')
    await letIn(db, person)
    response.status(201).json(await comeIn(request, person))
  })
  return router
}

/** Who is signed in. Being signed out is an answer, not an error; a database that does not answer is one. */
async function whoIfAny(db: Database, request: Request): Promise<Who | null> {
  try {
    return await stillHere(db, request)
  } catch (error) {
    if (error instanceof RequestProblem && error.status === 401) return null
    throw error
  }
}

/** A session of its own for whoever came in: what the browser had before is not carried over. */
async function begin(request: Request, person: Person): Promise<void> {
  await new Promise<void>((resolve, reject) => {
    request.session.regenerate((error) => (error ? reject(error) : resolve()))
  })
  request.session.personId = person.id
  request.session.shopId = person.shop.id
  request.session.device = (request.get('user-agent') ?? '').slice(0, 200)
  request.session.sinceMs = Date.now()
}
