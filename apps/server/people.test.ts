import { demoSignIn } from './demo/scenario'
import { waitAfter } from './services/signIn'
import { client, entryOf, openServer, stranger, uuid, type Ask } from './testServer'

const server = openServer()
let origin = ''
let owner: Ask
beforeAll(async () => {
  origin = await server.ready
  owner = await client(server, demoSignIn)
})
afterAll(() => server.close())

const post = (path: string, body: unknown) =>
  fetch(`${origin}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
const linkOf = (path: string): string => path.replace('/join', '/links')
const address = (): string => `new-${uuid().slice(0, 8)}@skerry.example`

async function invited(email = address(), role = 'technician') {
  const { status, body } = await owner('POST', '/people/invitations', { name: 'Nell Ferrow', email, role })
  return { status, body, email }
}

test('an invitation lets one person in, once, under the password that they choose', async () => {
  const { body: link, email } = await invited()
  const shown = await (await fetch(origin + linkOf(link.path))).json()
  expect(shown).toMatchObject({ shop: 'Skerry Light Mechanical', email, is: 'invitation' })
  const weak = await post(linkOf(link.path), { password: 'password12' })
  const { fields } = (await weak.json()) as { fields: readonly { message: string }[] }
  expect([weak.status, fields[0].message]).toEqual([400, expect.stringMatching(/another/)])
  expect((await post(linkOf(link.path), { password: 'short' })).status).toBe(400)
  expect((await post(linkOf(link.path), { password: 'six wet gloves' })).status).toBe(201)
  expect((await post(linkOf(link.path), { password: 'six wet gloves' })).status).toBe(404)
  const ask = await client(server, { email, password: 'six wet gloves' })
  expect((await ask('GET', '/session')).body).toMatchObject({ email, role: 'technician' })
})

test('a link that has run out, or was never made, opens nothing', async () => {
  const { body: link } = await invited()
  await server.pool.query("UPDATE links SET expires_at = now() - interval '1 minute' WHERE used_at IS NULL")
  expect((await post(linkOf(link.path), { password: 'six wet gloves' })).status).toBe(404)
  expect((await fetch(`${origin}/links/nothing`)).status).toBe(404)
})

test('an e-mail that is taken, a reader without a site and a site of another shop are refused by field', async () => {
  const taken = await invited(stranger.email)
  expect([taken.status, taken.body.fields[0].field]).toEqual([409, 'email'])
  const reader = await invited(address(), 'reader')
  expect([reader.status, reader.body.fields[0].field]).toEqual([400, 'site'])
  const foreign = await owner('POST', '/people/invitations', {
    name: 'A reader',
    email: address(),
    role: 'reader',
    site: '5b0a4d0e-3f7c-4c52-8f39-6a1a5f3b1c02',
  })
  expect([foreign.status, foreign.body.fields[0].field]).toEqual([422, 'site'])
})

test('a password changed, by its owner or by a link, ends every other session', async () => {
  const { body: link, email } = await invited()
  await post(linkOf(link.path), { password: 'six wet gloves' })
  const here = await client(server, { email, password: 'six wet gloves' })
  const there = await client(server, { email, password: 'six wet gloves' })
  const wrong = await here('POST', '/password', { before: 'not this', password: 'seven dry gloves' })
  expect([wrong.status, wrong.body.fields[0].field]).toEqual([422, 'before'])
  expect((await here('GET', '/devices')).body.devices.length).toBeGreaterThanOrEqual(2)
  const change = { before: 'six wet gloves', password: 'seven dry gloves' }
  expect((await here('POST', '/password', change)).status).toBe(204)
  expect((await there('GET', '/places')).status).toBe(401)
  expect((await here('GET', '/places')).status).toBe(200)
  const { id } = (await here('GET', '/session')).body
  const { body: reset } = await owner('POST', `/people/${id}/password-link`, {})
  expect((await post(linkOf(reset.path), { password: 'eight new gloves' })).status).toBe(201)
  expect((await here('GET', '/places')).status).toBe(401)
  const anew = await client(server, { email, password: 'eight new gloves' })
  expect((await anew('GET', '/places')).status).toBe(200)
})

test('signing out everywhere leaves this device in', async () => {
  const { body: link, email } = await invited()
  await post(linkOf(link.path), { password: 'six wet gloves' })
  const here = await client(server, { email, password: 'six wet gloves' })
  const there = await client(server, { email, password: 'six wet gloves' })
  expect((await here('DELETE', '/devices')).status).toBe(204)
  expect([(await here('GET', '/places')).status, (await there('GET', '/places')).status]).toEqual([200, 401])
})

test('wrong passwords make the next try wait, longer each time, for known and unknown e-mails alike', async () => {
  expect([0, 4, 5, 6, 7, 40].map(waitAfter)).toEqual([0, 0, 5, 10, 20, 900])
  for (const email of [address(), stranger.email]) {
    for (let k = 0; k < 5; k++) expect((await post('/session', { email, password: 'no' })).status).toBe(401)
    const sixth = await post('/session', { email, password: stranger.password })
    expect([sixth.status, ((await sixth.json()) as { error: string }).error]).toEqual([
      429,
      expect.stringMatching(/try again in \d+ s/),
    ])
  }
  await server.pool.query('DELETE FROM sign_in_failures')
})

test('nobody makes a second shop, and the events of one are its owner’s to read', async () => {
  const second = await post('/shop', {
    shop: 'Another',
    name: 'A person',
    email: address(),
    password: 'six wet gloves',
  })
  expect(second.status).toBe(409)
  const { body } = await owner('GET', '/security')
  expect(body.events.map(({ what }: { what: string }) => what)).toEqual(
    expect.arrayContaining(['signed-in', 'invited', 'joined', 'password-changed']),
  )
  await expect(server.pool.query('DELETE FROM security_events')).rejects.toThrow(/only added/)
})

test('the door says whether somebody has a shop here yet', async () => {
  const door = await (await fetch(`${origin}/front-door`)).json()
  expect(door).toEqual({ isFirst: false, isDemo: true, hasPost: false })
})

test('a licence is one’s own, is in the report’s head, and goes with the name', async () => {
  expect((await owner('POST', '/licence', { licence: 'x'.repeat(61) })).status).toBe(400)
  expect((await owner('POST', '/licence', { licence: ' R-480 ' })).status).toBe(400)
  expect((await owner('POST', '/licence', { licence: 'R-480' })).status).toBe(204)
  const { body: places } = await owner('GET', '/places')
  const me = places.people.find(({ licence }: { licence: string }) => licence !== '')
  expect(me).toMatchObject({ licence: 'R-480' })
  const visit = uuid()
  await owner('POST', '/visits', { id: visit, unit: places.units[0].id })
  await owner('POST', '/entries', { entries: [entryOf(visit, { kind: 'arrived' })] })
  const { body } = await owner('GET', `/visits/${visit}/report.json`)
  expect(body.report.head.technicians).toEqual([`${me.name}, licence R-480`])
})
