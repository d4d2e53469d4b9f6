import { loadDemo } from './demo/load'
import { demoSignIn } from './demo/scenario'
import { client as clientOf, entryOf, openServer, runLong, stranger, strangerUnit, uuid } from './testServer'

const server = openServer()
const { pool, db } = server
let origin = ''
beforeAll(async () => {
  origin = await server.ready
})
afterAll(() => server.close())
const client = (given: { email: string; password: string }) => clientOf(server, given)

async function begun() {
  const ask = await client(demoSignIn)
  const { body: places } = await ask('GET', '/places')
  const unit = places.units.find(
    (candidate: { diagram: string }) => candidate.diagram === 'rooftop-two-stage',
  ).id as string
  const visit = uuid()
  await ask('POST', '/visits', { id: visit, unit })
  return { ask, unit, visit }
}

test('a wrong password, an unknown person and a malformed request are told apart only as far as they should', async () => {
  const post = (body: unknown) =>
    fetch(`${origin}/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    })
  const wrong = await post({ ...demoSignIn, password: 'x' })
  const unknown = await post({ email: 'no@body.example', password: 'x' })
  expect([wrong.status, unknown.status]).toEqual([401, 401])
  expect(await wrong.json()).toEqual(await unknown.json())
  const malformed = await post({ email: 'nobody', password: 5 })
  expect(malformed.status).toBe(400)
  expect(
    ((await malformed.json()) as { fields: { field: string }[] }).fields
      .map(({ field }: { field: string }) => field)
      .sort(),
  ).toEqual(['email', 'password'])
})

test('without a session every address is closed', async () => {
  for (const address of [
    '/board',
    '/places',
    `/visits/${uuid()}`,
    `/visits/${uuid()}/entries`,
    `/units/${uuid()}/visits`,
  ]) {
    const response = await fetch(origin + address)
    expect([address, response.status]).toEqual([address, 401])
  }
})

test('an entry sent many times, alone and among others, is kept once', async () => {
  const { ask, visit } = await begun()
  const first = entryOf(visit, { kind: 'arrived' })
  const second = entryOf(visit, { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 25.1 })
  await Promise.all([
    ask('POST', '/entries', { entries: [first] }),
    ask('POST', '/entries', { entries: [first, second] }),
    ask('POST', '/entries', { entries: [second, first] }),
  ])
  expect((await ask('POST', '/entries', { entries: [first] })).status).toBe(200)
  const { body } = await ask('GET', `/visits/${visit}/entries`)
  expect(body.entries.map(({ id }: { id: string }) => id).sort()).toEqual([first.id, second.id].sort())
})

test.each([
  ['an unknown point', { kind: 'reading', meter: 'volts', from: 'TB.Q', value: 2 }, 422, /TB\.Q.*nearest/],
  [
    'OL on volts',
    { kind: 'reading', meter: 'volts', from: 'TB.R', value: null },
    422,
    /OL is for the ohms range/,
  ],
  [
    'both leads on one point',
    { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.R', value: 2 },
    422,
    /both leads/,
  ],
  ['an unknown call', { kind: 'call', call: 'cool9' }, 422, /cool9/],
  ['a repair of nothing', { kind: 'repair', of: 'CC99' }, 422, /CC99/],
  ['a kind that is not', { kind: 'wish' }, 400, /kind/],
  ['text for a number', { kind: 'reading', meter: 'volts', from: 'TB.R', value: '24' }, 400, /value/],
])(
  '%s is refused with the field and what is wrong, and nothing of the batch is kept',
  async (_, body, status, message) => {
    const { ask, visit } = await begun()
    const answer = await ask('POST', '/entries', {
      entries: [entryOf(visit, { kind: 'arrived' }), entryOf(visit, body)],
    })
    expect(answer.status).toBe(status)
    expect(answer.body.fields[0].field).toMatch(/entries\[1\]/)
    expect(answer.body.fields[0].message).toMatch(message)
    expect((await ask('GET', `/visits/${visit}/entries`)).body.entries).toEqual([])
  },
)

test('broken JSON, a form and a huge body are refused plainly', async () => {
  const { ask } = await begun()
  expect((await ask('POST', '/entries', { entries: [] })).status).toBe(400)
  const broken = await fetch(`${origin}/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: '{',
  })
  const form = await fetch(`${origin}/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/x-www-form-urlencoded' },
    body: 'email=a',
  })
  const huge = await fetch(`${origin}/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'x'.repeat(3e6) }),
  })
  expect([broken.status, form.status, huge.status]).toEqual([400, 415, 413])
})

test('another shop sees nothing of this one and can write nothing into it', async () => {
  const { ask, unit, visit } = await begun()
  const entry = entryOf(visit, { kind: 'arrived' })
  await ask('POST', '/entries', { entries: [entry] })
  const other = await client(stranger)
  expect((await other('GET', '/board')).body.items).toEqual([])
  expect((await other('GET', '/places')).body.units.map(({ id }: { id: string }) => id)).toEqual([
    strangerUnit,
  ])
  expect((await other('GET', `/visits/${visit}`)).status).toBe(404)
  expect((await other('GET', `/visits/${visit}/entries`)).status).toBe(404)
  expect((await other('GET', `/units/${unit}/visits`)).body.visits).toEqual([])
  expect((await other('POST', '/visits', { id: uuid(), unit })).status).toBe(404)
  expect((await other('POST', '/visits', { id: visit, unit: strangerUnit })).status).toBe(409)
  expect((await other('POST', '/entries', { entries: [entryOf(visit, { kind: 'arrived' })] })).status).toBe(
    404,
  )
  const own = uuid()
  await other('POST', '/visits', { id: own, unit: strangerUnit })
  expect(
    (await other('POST', '/entries', { entries: [entryOf(own, { kind: 'arrived' }, entry.id)] })).status,
  ).toBe(409)
})

test('the log cannot be rewritten, not even by hand', async () => {
  await expect(pool.query("UPDATE entries SET body = '{}'")).rejects.toThrow(/only added/)
  await expect(pool.query('DELETE FROM entries')).rejects.toThrow(/only added/)
})

test('loading the demo scenario again adds nothing', async () => {
  const count = async (): Promise<string> =>
    (
      await pool.query('SELECT (SELECT count(*) FROM entries) || $1 || (SELECT count(*) FROM units) AS n', [
        '/',
      ])
    ).rows[0].n as string
  const before = await count()
  await loadDemo(db)
  expect(await count()).toBe(before)
})

test('a visit cannot be made repaired from outside over a bridge, and is where its log says so', async () => {
  const { ask, visit } = await begun()
  const send = (...bodies: readonly Parameters<typeof entryOf>[1][]) =>
    ask('POST', '/entries', { entries: bodies.map((body) => entryOf(visit, body)) })
  const signed = { kind: 'sign-off', outcome: 'repaired', words: 'Done.' } as const
  await send({ kind: 'repair', of: 'CC1' }, { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.Y1' })
  await send(...runLong('cool1'), { kind: 'proof', call: 'cool1', words: '15.5 A', passed: true })
  const refused = await send(signed)
  expect(refused.status).toBe(422)
  expect(refused.body.fields[0].message).toMatch(/still on/)
  await send({ kind: 'action', do: 'unbridge', of: 'TB.R', to: 'TB.Y1' })
  expect((await send(signed)).status).toBe(200)
})

test.each([
  ['a NUL', 'wet\u0000roof'],
  ['half a character', 'wet\ud83droof'],
])('text with %s is refused with the field, and holds back nothing else', async (_, words) => {
  const { ask, visit } = await begun()
  const bad = await ask('POST', '/entries', { entries: [entryOf(visit, { kind: 'note', words })] })
  expect(bad.status).toBe(400)
  expect(JSON.stringify(bad.body)).toMatch(/cannot be kept/)
  const good = await ask('POST', '/entries', {
    entries: [entryOf(visit, { kind: 'note', words: 'wet roof' })],
  })
  expect(good.status).toBe(200)
})

test('readers that follow four writers at once end with every entry', async () => {
  const { ask, visit } = await begun()
  const count = 60
  let writing = 4
  const write = async (): Promise<void> => {
    for (let k = 0; k < count; k++)
      await ask('POST', '/entries', { entries: [entryOf(visit, { kind: 'note', words: `note ${k}` })] })
    writing -= 1
  }
  const read = async (): Promise<number> => {
    const seen = new Set<string>()
    let after = 0
    for (let last = false; ; last = writing === 0) {
      const { body } = await ask('GET', `/visits/${visit}/entries?after=${after}`)
      for (const entry of body.entries as readonly { id: string; sequence: number }[]) {
        seen.add(entry.id)
        after = Math.max(after, entry.sequence)
      }
      if (last) return seen.size
    }
  }
  const [, , , , ...read3] = await Promise.all([write(), write(), write(), write(), read(), read(), read()])
  expect(read3).toEqual([4 * count, 4 * count, 4 * count])
})

test('a visit is left restricted or off only with words, who was told and until when', async () => {
  const { ask, visit } = await begun()
  const leave = (body: object) =>
    ask('POST', '/entries', { entries: [entryOf(visit, { kind: 'sign-off', outcome: 'left-off', ...body })] })
  const bare = await leave({ words: 'Off until the part comes' })
  expect([bare.status, bare.body.fields[0].message]).toEqual([422, 'Say who was told'])
  expect((await leave({ words: 'Off until the part comes', told: 'desk', until: 'soon' })).status).toBe(400)
  const whole = { words: 'Off until the part comes', told: 'desk', until: '2031-02-01' }
  expect((await leave(whole)).status).toBe(200)
})

test.each([
  ['no body', {}],
  ['a body of nothing', { body: null }],
  ['a body that is a list', { body: [] }],
  ['a kind that is no kind', { body: { kind: '__proto__' } }],
])('an entry with %s is named, and nothing is kept', async (_, change) => {
  const ask = await clientOf(server, demoSignIn)
  const { body: places } = await ask('GET', '/places')
  const visit = uuid()
  await ask('POST', '/visits', { id: visit, unit: places.units[0].id })
  const { body, ...bare } = entryOf(visit, null)
  expect(body).toBeNull()
  const answer = await ask('POST', '/entries', { entries: [{ ...bare, ...change }] })
  expect(answer.status).toBe(400)
  expect(answer.body.fields[0].field).toMatch(/^entries\[0\]\.body/)
  expect((await ask('GET', `/visits/${visit}/entries`)).body.entries).toEqual([])
})

test('a name with what no database can keep is refused by its field', async () => {
  const ask = await clientOf(server, demoSignIn)
  const invitation = { name: 'A\u0000', email: 'nul@skerry.example', role: 'technician', site: '' }
  const { status, body } = await ask('POST', '/people/invitations', invitation)
  expect([status, body.fields[0].field]).toEqual([400, 'name'])
})

test('a disk with no room is said as it is, and nothing is half kept', async () => {
  const { ask, visit } = await begun()
  await pool.query(`
    CREATE FUNCTION no_room() RETURNS trigger LANGUAGE plpgsql AS
      $$ BEGIN RAISE EXCEPTION 'could not extend file' USING ERRCODE = 'disk_full'; END $$;
    CREATE TRIGGER no_room BEFORE INSERT ON entries FOR EACH ROW
      WHEN (NEW.visit_id = '${visit}') EXECUTE FUNCTION no_room()`)
  const entries = [entryOf(visit, { kind: 'arrived' })]
  try {
    const { status, body } = await ask('POST', '/entries', { entries })
    expect([status, body.error]).toEqual([507, expect.stringMatching(/disk is full: nothing was changed/)])
    expect((await ask('GET', `/visits/${visit}/entries?after=0`)).body.entries).toEqual([])
  } finally {
    await pool.query('DROP TRIGGER no_room ON entries; DROP FUNCTION no_room')
  }
  expect((await ask('POST', '/entries', { entries })).status).toBe(200)
})

test('a browser is told to let the page do little, and to load nothing from elsewhere', async () => {
  const { headers } = await fetch(`${origin}/health`)
  expect(headers.get('permissions-policy')).toMatch(/camera=\(self\), microphone=\(\), geolocation=\(\)/)
  expect(headers.get('content-security-policy')).not.toMatch(/https:|\*/)
  expect(headers.get('cache-control')).toBe('no-store')
})
