import { Secret, TOTP } from 'otpauth'
import { demoSignIn } from './demo/scenario'
import { client, openServer, uuid, type Ask } from './testServer'

const server = openServer()
let origin = ''
let owner: Ask
beforeAll(async () => {
  origin = await server.ready
  owner = await client(server, demoSignIn)
})
afterAll(() => server.close())

const password = 'six wet gloves'
const post = (path: string, body: unknown) =>
  fetch(`${origin}${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })

/** Whoever has just joined, signed in. */
async function newcomer() {
  const email = `new-${uuid().slice(0, 8)}@skerry.example`
  const { body } = await owner('POST', '/people/invitations', { name: 'Nell Ferrow', email, role: 'lead' })
  await post(body.path.replace('/join', '/links'), { password })
  return { email, ask: await client(server, { email, password }) }
}

/** What an authenticator shows, so many steps from now. */
const codeOf = (secret: string, steps = 0): string =>
  new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: Date.now() + 30_000 * steps })

/** With a second factor on, confirmed by the code before this one. */
async function guarded() {
  const { email, ask } = await newcomer()
  const { body: offer } = await ask('POST', '/second-factor', { password })
  const { body } = await ask('POST', '/second-factor/confirm', { code: codeOf(offer.secret, -1) })
  const codes: readonly string[] = body.codes
  return { email, ask, secret: String(offer.secret), uri: String(offer.uri), codes }
}

test('it is on once a code has come back, and then a password alone lets nobody in', async () => {
  const { email, ask } = await newcomer()
  expect((await ask('POST', '/second-factor', { password: 'not this one' })).status).toBe(422)
  const { body: offer } = await ask('POST', '/second-factor', { password })
  expect(offer.uri).toMatch(/^otpauth:\/\/totp\/Jokulgale:new-/)
  expect(new Set(offer.modules.map((row: string) => row.length))).toEqual(new Set([offer.modules.length]))
  // begun, and not confirmed: nothing is asked for
  expect((await post('/session', { email, password })).status).toBe(200)
  expect((await ask('POST', '/second-factor/confirm', { code: '000 000' })).status).toBe(422)
  const confirmed = await ask('POST', '/second-factor/confirm', { code: codeOf(offer.secret, -1) })
  expect(confirmed.body.codes).toHaveLength(8)
  expect((await ask('GET', '/second-factor')).body).toEqual({ isOn: true, spareLeft: 8 })
  const alone = await post('/session', { email, password })
  const { fields } = (await alone.json()) as { fields: readonly { field: string }[] }
  expect([alone.status, fields[0].field]).toEqual([401, 'code'])
  expect((await post('/session', { email, password: 'wrong one', code: codeOf(offer.secret) })).status).toBe(
    401,
  )
  expect((await post('/session', { email, password, code: codeOf(offer.secret) })).status).toBe(200)
  expect((await ask('POST', '/second-factor', { password })).status).toBe(409)
})

test('a code lets in once, one of another time never, and a spare one once', async () => {
  const { email, secret, codes } = await guarded()
  const enter = async (code: string) => (await post('/session', { email, password, code })).status
  expect(await enter(codeOf(secret, 4))).toBe(401)
  expect(await enter(codeOf(secret))).toBe(200)
  expect(await enter(codeOf(secret))).toBe(401)
  expect(await enter(codeOf(secret, -1))).toBe(401)
  expect(await enter(codes[3].toLowerCase())).toBe(200)
  expect(await enter(codes[3])).toBe(401)
  const rows = await server.pool.query('SELECT spare_hashes FROM second_factors WHERE secret = $1', [secret])
  expect(rows.rows[0].spare_hashes).toHaveLength(7)
  expect(JSON.stringify(rows.rows)).not.toContain(codes[0].replace(/\s/g, ''))
})

test('wrong codes make an e-mail wait as wrong passwords do', async () => {
  const { email, secret } = await guarded()
  for (let k = 0; k < 5; k++) await post('/session', { email, password, code: '123456' })
  expect((await post('/session', { email, password, code: codeOf(secret) })).status).toBe(429)
})

test('a link for a new password does not pass it by', async () => {
  const { email, secret } = await guarded()
  const { body } = await owner('GET', '/people')
  const person = body.people.find((each: { email: string }) => each.email === email)
  expect(person.hasSecondFactor).toBe(true)
  const made = await owner('POST', `/people/${person.id}/password-link`, {})
  const link = made.body.path.replace('/join', '/links')
  expect(await (await fetch(origin + link)).json()).toMatchObject({ needsCode: true })
  expect((await post(link, { password: 'another six gloves' })).status).toBe(401)
  // the link is still good, and the old password still the only one
  expect((await post(link, { password: 'another six gloves', code: codeOf(secret) })).status).toBe(201)
})

test('it is turned off with password and code, or by the owner for somebody who has lost it; nobody else', async () => {
  const first = await guarded()
  expect((await first.ask('POST', '/second-factor/end', { password, code: '123456' })).status).toBe(401)
  expect((await first.ask('POST', '/second-factor/end', { password, code: first.codes[0] })).status).toBe(204)
  expect((await post('/session', { email: first.email, password })).status).toBe(200)
  const lost = await guarded()
  const { body } = await owner('GET', '/people')
  const { id } = body.people.find((each: { email: string }) => each.email === lost.email)
  expect((await first.ask('POST', `/people/${id}/second-factor-end`, {})).status).toBe(403)
  expect((await owner('POST', `/people/${id}/second-factor-end`, {})).status).toBe(204)
  expect((await post('/session', { email: lost.email, password })).status).toBe(200)
  const { events } = (await owner('GET', '/security')).body
  expect(events.map(({ what }: { what: string }) => what)).toEqual(
    expect.arrayContaining(['second-factor-on', 'second-factor-off', 'spare-code-used']),
  )
})
