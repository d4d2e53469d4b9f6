import { randomUUID } from 'node:crypto'
import { demoSignIn } from '../demo/scenario'
import { client, entryOf, openServer, type Answer, type Ask } from '../testServer'
import { access } from './access'

const server = openServer()
let owner: Ask
let origin = ''
beforeAll(async () => {
  origin = await server.ready
  owner = await client(server, demoSignIn)
})
afterAll(() => server.close())

const send = async (token: string, method: string, address: string, body?: unknown): Promise<Answer> => {
  const answer = await fetch(origin + address, {
    method,
    headers: { authorization: `Bearer ${token}`, 'content-type': 'application/json' },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  })
  return { status: answer.status, body: await answer.json().catch(() => null) }
}

/** Somebody new, signed in, with a visit of theirs and a credential. */
async function technician() {
  const email = `sends-${randomUUID().slice(0, 8)}@skerry.example`
  const given = { email, password: 'six wet gloves' }
  const { body: link } = await owner('POST', '/people/invitations', {
    name: 'A sender',
    email,
    role: 'technician',
  })
  await fetch(`${origin}${link.path.replace('/join', '/links')}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ password: given.password }),
  })
  const ask = await client(server, given)
  const { body: places } = await ask('GET', '/places')
  const visit = randomUUID()
  await ask('POST', '/visits', { id: visit, unit: places.units[0].id })
  const { body } = await ask('POST', '/send-credential', {})
  const { id } = (await ask('GET', '/session')).body
  return { ask, visit, token: String(body.token), id: String(id), given }
}

test('it sends in its person’s name, and reads and changes nothing else', async () => {
  const { ask, visit, token, id } = await technician()
  const entry = entryOf(visit, { kind: 'arrived' })
  expect((await send(token, 'POST', '/entries', { entries: [entry] })).status).toBe(200)
  const { body } = await ask('GET', `/visits/${visit}/entries?after=0`)
  expect(body.entries).toMatchObject([{ id: entry.id, by: id }])
  for (const [address, { forSending }] of Object.entries(access)) {
    if (forSending) continue
    const [method, path] = address.split(' ')
    const asked = await send(token, method, path.replace(':id', visit), method === 'POST' ? {} : undefined)
    expect([address, asked.status]).toEqual([address, 403])
  }
})

test('once everything is sent it ends, and with it the session that it was made in', async () => {
  const { ask, visit, token } = await technician()
  expect((await send(token, 'DELETE', '/send-credential')).status).toBe(204)
  expect((await ask('GET', '/places')).status).toBe(401)
  const late = await send(token, 'POST', '/entries', { entries: [entryOf(visit, { kind: 'arrived' })] })
  expect(late.status).toBe(401)
  expect((await send('nothing', 'POST', '/entries', { entries: [] })).status).toBe(401)
})

test('a new one for the same device replaces the old; one of a closed person, or after a new password, is none', async () => {
  const { ask, visit, token, id, given } = await technician()
  const second = String((await ask('POST', '/send-credential', {})).body.token)
  const tries = async (with_: string): Promise<number> =>
    (await send(with_, 'POST', '/entries', { entries: [entryOf(visit, { kind: 'arrived' })] })).status
  expect([await tries(token), await tries(second)]).toEqual([401, 200])
  const elsewhere = await client(server, given)
  await elsewhere('POST', '/password', { before: given.password, password: 'seven dry gloves' })
  expect(await tries(second)).toBe(401)
  const third = String((await elsewhere('POST', '/send-credential', {})).body.token)
  expect(await tries(third)).toBe(200)
  await owner('POST', `/people/${id}/close`, {})
  expect(await tries(third)).toBe(401)
})
