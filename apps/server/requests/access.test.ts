import type { Router } from 'express'
import { roles, type Role } from '@jokulgale/contract/people'
import { demoSignIn } from '../demo/scenario'
import { shopRoutes } from '../routes/index'
import { client, entryOf, openServer, stranger, uuid, type Ask } from '../testServer'
import { access } from './access'

const server = openServer()
afterAll(() => server.close())

const password = 'a long enough word'
const people = {} as Record<Role, { readonly ask: Ask; readonly id: string }>
let sites: readonly { readonly id: string }[] = []
let units: readonly { readonly id: string; readonly site: string }[] = []

/** Invites somebody and takes the invitation up. */
async function joined(owner: Ask, role: Role, site?: string): Promise<{ ask: Ask; id: string }> {
  const email = `${role}-${uuid().slice(0, 8)}@skerry.example`
  const invitation = { name: `A ${role}`, email, role, ...(site ? { site } : {}) }
  const { body: link } = await owner('POST', '/people/invitations', invitation)
  const used = await fetch(`${await server.ready}${link.path.replace('/join', '/links')}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ password }),
  })
  expect(used.status).toBe(201)
  return { ask: await client(server, { email, password }), id: ((await used.json()) as { id: string }).id }
}

beforeAll(async () => {
  await server.ready
  const owner = await client(server, demoSignIn)
  const { body: places } = await owner('GET', '/places')
  sites = places.sites
  units = places.units
  for (const role of roles)
    people[role] = await joined(owner, role, role === 'reader' ? sites[0].id : undefined)
})

const declared = (router: Router): readonly string[] =>
  router.stack.flatMap(({ route }) =>
    route ? route.stack.map(({ method }) => `${method.toUpperCase()} ${route.path}`) : [],
  )

test('every route says who may ask it, and nothing is said of a route that is not there', () => {
  const routes = shopRoutes(server.db, server.desks).flatMap(declared)
  expect([...new Set(routes)].sort()).toEqual(Object.keys(access).sort())
})

test.each(Object.entries(access))(
  '%s is for those that the table names',
  async (address, { roles: allowed }) => {
    const [method, path] = address.split(' ')
    for (const role of roles) {
      // a device list emptied or a password changed would end the others' sessions
      if (method === 'DELETE') continue
      const body = method === 'POST' ? {} : undefined
      const { status } = await people[role].ask(method, path.replace(':id', uuid()), body)
      expect([role, status === 403]).toEqual([role, !allowed.includes(role)])
      expect(status).not.toBe(500)
    }
  },
)

test('a reader sees their own site, and nothing of another by any address', async () => {
  const { ask } = people.reader
  const own = sites[0].id
  const { body: places } = await ask('GET', '/places')
  expect(places.sites.map(({ id }: { id: string }) => id)).toEqual([own])
  expect(places.units.every(({ site }: { site: string }) => site === own)).toBe(true)
  const { body: board } = await ask('GET', '/board')
  expect(board.items.every(({ site }: { site: { id: string } }) => site.id === own)).toBe(true)
  const { body: register } = await ask('GET', '/temporary')
  expect(register.measures.every(({ site }: { site: { id: string } }) => site.id === own)).toBe(true)
  const elsewhere = units.find(({ site }) => site !== own)
  const here = units.find(({ site }) => site === own)
  const visit = uuid()
  await people.technician.ask('POST', '/visits', { id: visit, unit: elsewhere?.id })
  const ownVisit = uuid()
  await people.technician.ask('POST', '/visits', { id: ownVisit, unit: here?.id })
  for (const address of [
    `/visits/${visit}`,
    `/visits/${visit}/entries`,
    `/visits/${visit}/report.json`,
    `/visits/${visit}/report.pdf`,
    `/units/${elsewhere?.id}/record`,
    `/units/${elsewhere?.id}/visits`,
    `/sites/${elsewhere?.site}/pairings`,
    `/photos/${uuid()}`,
  ])
    expect([address, (await ask('GET', address)).status]).toEqual([address, 404])
  expect((await ask('GET', `/visits/${ownVisit}/entries`)).status).toBe(200)
  expect((await ask('GET', `/units/${here?.id}/record`)).status).toBe(200)
  const written = await ask('POST', '/entries', { entries: [entryOf(ownVisit, { kind: 'arrived' })] })
  expect(written.status).toBe(403)
})

test('somebody who is closed is out with the next request, and stays in the record', async () => {
  const owner = await client(server, demoSignIn)
  const leaving = await joined(owner, 'technician')
  const visit = uuid()
  await leaving.ask('POST', '/visits', { id: visit, unit: units[0].id })
  expect((await owner('POST', `/people/${leaving.id}/close`, {})).status).toBe(204)
  expect((await leaving.ask('GET', '/places')).status).toBe(401)
  const { body } = await owner('GET', '/people')
  expect(body.people.find(({ id }: { id: string }) => id === leaving.id)).toMatchObject({ closed: true })
  expect((await owner('GET', `/visits/${visit}`)).body.startedBy).toBe(leaving.id)
})

test('a name is replaced for good once somebody is closed; what they entered stays', async () => {
  const owner = await client(server, demoSignIn)
  const leaving = await joined(owner, 'technician')
  const visit = uuid()
  await leaving.ask('POST', '/visits', { id: visit, unit: units[0].id })
  await leaving.ask('POST', '/entries', { entries: [entryOf(visit, { kind: 'arrived' })] })
  const before = (await owner('GET', '/people')).body.people.find(
    ({ id }: { id: string }) => id === leaving.id,
  )
  expect((await owner('POST', `/people/${leaving.id}/erase`, {})).status).toBe(422)
  await owner('POST', `/people/${leaving.id}/close`, {})
  expect((await owner('POST', `/people/${leaving.id}/erase`, {})).status).toBe(204)
  const { body } = await owner('GET', '/people')
  expect(JSON.stringify(body)).not.toContain(before.email)
  const report = await owner('GET', `/visits/${visit}/report.json`)
  expect(report.body.report.head.technicians).toEqual(['Somebody who has left'])
  const other = await client(server, stranger)
  expect((await other('POST', `/people/${leaving.id}/erase`, {})).status).toBe(404)
})

test('a shop keeps an owner', async () => {
  const only = await client(server, stranger)
  const { id } = (await only('GET', '/session')).body
  for (const [path, body] of [
    [`/people/${id}/close`, {}],
    [`/people/${id}/role`, { role: 'lead' }],
  ] as const)
    expect([path, (await only('POST', path, body)).status]).toEqual([path, 422])
  expect((await only('GET', '/places')).status).toBe(200)
})
