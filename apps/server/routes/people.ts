import { Router } from 'express'
import {
  invitationSchema,
  licenceSchema,
  passwordChangeSchema,
  roleChangeSchema,
  type MadeLink,
} from '@jokulgale/contract/people'
import type { Database } from '../db/connect'
import type { OrderLetter } from '../jobs/letters'
import { idOf } from '../requests/identity'
import { checked } from '../requests/problem'
import { whoAsks } from '../requests/signedIn'
import { devicesOf, endSessions } from '../services/devices'
import { linkOfOrder, orderInvitation, orderNewPassword, type LinkOrder } from '../services/links'
import {
  changeLicence,
  changePassword,
  changeRole,
  closePerson,
  erasePerson,
  peopleOf,
} from '../services/people'
import { noteSecurity, securityOf } from '../services/security'

/**
 * The people of a shop, and what each may do about their own way in. A link is shown to whoever made it,
 * and goes by letter too where there is a post.
 */
export function peopleRoutes(db: Database, orderLetter: OrderLetter | null): Router {
  const router = Router()
  const link = async (order: LinkOrder): Promise<MadeLink> => {
    const made = await linkOfOrder(db, order)
    if (orderLetter) await orderLetter(order)
    return { ...made.link, mailedTo: orderLetter ? made.email : null }
  }
  router.get('/people', async (request, response) => {
    response.json({ people: await peopleOf(db, whoAsks(request).shopId) })
  })
  router.post('/people/invitations', async (request, response) => {
    const invitation = await checked(invitationSchema, request.body)
    response.status(201).json(await link(await orderInvitation(db, whoAsks(request), invitation)))
  })
  router.post('/people/:id/role', async (request, response) => {
    const id = idOf(request.params.id, 'this person')
    await changeRole(db, whoAsks(request), id, await checked(roleChangeSchema, request.body))
    response.status(204).end()
  })
  router.post('/people/:id/close', async (request, response) => {
    await closePerson(db, whoAsks(request), idOf(request.params.id, 'this person'))
    response.status(204).end()
  })
  router.post('/people/:id/erase', async (request, response) => {
    await erasePerson(db, whoAsks(request), idOf(request.params.id, 'this person'))
    response.status(204).end()
  })
  router.post('/people/:id/password-link', async (request, response) => {
    const id = idOf(request.params.id, 'this person')
    response.status(201).json(await link(await orderNewPassword(db, whoAsks(request), id)))
  })
  router.get('/security', async (request, response) => {
    response.json({ events: await securityOf(db, whoAsks(request).shopId) })
  })
  router.post('/password', async (request, response) => {
    const change = await checked(passwordChangeSchema, request.body)
    await changePassword(db, whoAsks(request), change, request.sessionID)
    response.status(204).end()
  })
  router.post('/licence', async (request, response) => {
    const { licence } = await checked(licenceSchema, request.body)
    await changeLicence(db, whoAsks(request), licence)
    response.status(204).end()
  })
  router.get('/devices', async (request, response) => {
    response.json({ devices: await devicesOf(db, whoAsks(request).personId, request.sessionID) })
  })
  router.delete('/devices', async (request, response) => {
    const who = whoAsks(request)
    await endSessions(db, who.personId, request.sessionID)
    await noteSecurity(db, who, 'signed-out-everywhere')
    response.status(204).end()
  })
  return router
}
