import { asc } from 'drizzle-orm'
import { unitSummaries, visitSummaries } from './db/schema'
import { bringSummariesUpToDate } from './services/summaries'
import { client, demoClient, entryOf, openServer, runLong, stranger, uuid, type Ask } from './testServer'

const server = openServer()
afterAll(() => server.close())

async function begun(diagram = 'rooftop-two-stage'): Promise<{
  ask: Ask
  unit: string
  site: string
  visit: string
  say: (...bodies: readonly unknown[]) => Promise<readonly string[]>
}> {
  const ask = await demoClient(server)
  const { body: places } = await ask('GET', '/places')
  const found = places.units.find((candidate: { diagram: string }) => candidate.diagram === diagram)
  const visit = uuid()
  await ask('POST', '/visits', { id: visit, unit: found.id })
  let wall = Date.now()
  const say = async (...bodies: readonly unknown[]): Promise<readonly string[]> => {
    const entries = bodies.map((body) => ({
      ...entryOf(visit, body),
      clock: { wall: ++wall, counter: 0, device: 't' },
    }))
    const answer = await ask('POST', '/entries', { entries })
    if (answer.status !== 200) throw new Error(JSON.stringify(answer.body))
    return entries.map(({ id }) => id)
  }
  return { ask, unit: found.id, site: found.site, visit, say }
}

const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

test('a bridge is in the register until it is off, with its days once it is left, and in the calendar', async () => {
  const { ask, visit, say } = await begun()
  const mine = async () =>
    (await ask('GET', '/temporary')).body.measures.filter(
      (measure: { visit: string }) => measure.visit === visit,
    )
  const [bridge] = await say({ kind: 'action', do: 'bridge', of: 'LAL.1', to: 'LAL.2' })
  expect(await mine()).toMatchObject([{ sort: 'bridge', left: null, unsafe: false }])
  await say({
    kind: 'temporary-left',
    entry: bridge,
    hazard: 'runs in the cold',
    reason: 'part on order',
    authorisedBy: 'B. Holm',
    expires: '2031-03-01',
    told: 'front desk',
  })
  expect(await mine()).toMatchObject([{ left: { expires: '2031-03-01' } }])
  const calendar = await ask.raw('GET', '/temporary.ics')
  expect(calendar.headers.get('content-type')).toMatch(/text\/calendar/)
  const text = await calendar.text()
  expect(text).toMatch(/BEGIN:VCALENDAR[\s\S]*DTSTART;VALUE=DATE:20310301[\s\S]*END:VCALENDAR/)
  await say({ kind: 'action', do: 'unbridge', of: 'LAL.2', to: 'LAL.1' })
  expect(await mine()).toEqual([])
})

test('a bridge across a high-pressure control is recorded, and marked unsafe', async () => {
  const { ask, visit, say } = await begun()
  await say({ kind: 'action', do: 'bridge', of: 'HPS1.1', to: 'HPS1.2' })
  const { body } = await ask('GET', '/temporary')
  expect(body.measures.find((measure: { visit: string }) => measure.visit === visit)).toMatchObject({
    unsafe: true,
  })
})

test('what is kept beside the logs is what the logs come to, made anew', async () => {
  const { ask, visit, say } = await begun()
  const [noted] = await say(
    { kind: 'action', do: 'bridge', of: 'LAL.1', to: 'LAL.2' },
    { kind: 'note', words: 'a guillemot nests behind the panel' },
  )
  await say({ kind: 'note', words: 'taken back: a razorbill' }, { kind: 'retracted', entry: noted })
  const kept = async () => ({
    summaries: await server.db.select().from(unitSummaries).orderBy(asc(unitSummaries.unitId)),
    visits: await server.db.select().from(visitSummaries).orderBy(asc(visitSummaries.visitId)),
    register: (await ask('GET', '/temporary')).body,
    experience: (await ask('GET', '/experience')).body,
    found: (await ask('GET', '/search?words=guillemot')).body,
  })
  // what nobody has said anything of yet has no row until it is made anew
  await server.db.update(unitSummaries).set({ version: 0 })
  await bringSummariesUpToDate(server.db)
  const before = await kept()
  expect(before.found.visits).toMatchObject([{ visit, words: 'a guillemot nests behind the panel' }])
  expect(before.summaries.length).toBeGreaterThan(5)
  await server.db.delete(unitSummaries)
  await server.db.delete(visitSummaries)
  expect((await kept()).register.measures).toEqual([])
  expect(await bringSummariesUpToDate(server.db)).toBeGreaterThan(5)
  expect(await kept()).toEqual(before)
})

test('R to C is refused, and nothing is kept', async () => {
  const { ask, visit } = await begun()
  const answer = await ask('POST', '/entries', {
    entries: [entryOf(visit, { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.C' })],
  })
  expect(answer.status).toBe(422)
  expect(answer.body.fields[0].message).toMatch(/never join/)
})

test('a unit’s record holds what is open, what drifts and what the last visit found', async () => {
  const { ask, unit, say } = await begun('fan-coil-hydronic')
  const amps = (value: number) => ({
    kind: 'proof',
    call: 'cool1',
    words: '',
    passed: true,
    values: [{ what: 'Fan motor', value, unit: 'A', expected: 2.2 }],
  })
  await say(
    { kind: 'defect', words: 'Pan rusted through at one corner' },
    { kind: 'repair', of: 'FLT', words: 'Float freed' },
    ...runLong('cool1'),
    amps(2.2),
    { kind: 'sign-off', outcome: 'repaired', words: 'Runs' },
  )
  await say(amps(2.6))
  const { body } = await ask('GET', `/units/${unit}/record`)
  expect(body.last).toMatchObject({ outcome: 'repaired', repairs: ['Float freed'] })
  expect(body.defects).toMatchObject([{ words: 'Pan rusted through at one corner' }])
  expect(body.drifting.join()).toMatch(/2\.2 → 2\.6 A/)
})

test('closed repairs are counted by kind of part and fault', async () => {
  const { ask, say } = await begun()
  const before = (await ask('GET', '/experience')).body.repairs['contactor:coil-open'] ?? 0
  await say(
    { kind: 'repair', of: 'CC1', fault: 'CC1:coil-open' },
    ...runLong('cool1'),
    { kind: 'proof', call: 'cool1', words: '15.5 A', passed: true },
    { kind: 'sign-off', outcome: 'repaired', words: '' },
  )
  expect((await ask('GET', '/experience')).body.repairs['contactor:coil-open']).toBe(before + 1)
})

test('a pairing proven on a visit stays with its site', async () => {
  const { ask, site, say } = await begun()
  await say(
    {
      kind: 'pairing-step',
      method: 'fans-on',
      of: 'Main wall thermostat',
      outcome: 'RTU-1 still, all others ran',
    },
    {
      kind: 'pairing',
      thermostat: 'Main wall',
      indoor: 'RTU-1',
      breaker: 'P2-14',
      label: 'RTU-1 · main wall',
    },
    { kind: 'placed', of: 'RTU-1', x: 20, y: 70 },
  )
  const { body } = await ask('GET', `/sites/${site}/pairings`)
  expect(body.pairs).toMatchObject([{ thermostat: 'Main wall', indoor: 'RTU-1', label: 'RTU-1 · main wall' }])
  expect(body.places).toMatchObject([{ of: 'RTU-1', x: 20, y: 70 }])
})

test('a photo is kept once, shown to its own shop, and only if it is one', async () => {
  const { ask, visit } = await begun()
  const id = uuid()
  const put = (body: Buffer, query = `?visit=${visit}`) =>
    ask.raw('PUT', `/photos/${id}${query}`, body, 'image/png')
  expect([(await put(png)).status, (await put(png)).status]).toEqual([204, 204])
  const shown = await ask.raw('GET', `/photos/${id}`)
  // written anew, whatever it came as
  expect(shown.headers.get('content-type')).toBe('image/jpeg')
  expect([...Buffer.from(await shown.arrayBuffer()).subarray(0, 3)]).toEqual([0xff, 0xd8, 0xff])
  expect(
    (
      await ask.raw(
        'PUT',
        `/photos/${uuid()}?visit=${visit}`,
        Buffer.from('<svg onload=alert(1)>'),
        'image/svg+xml',
      )
    ).status,
  ).toBe(422)
  expect((await put(png, `?visit=${uuid()}`)).status).toBe(404)
  expect((await put(png, '')).status).toBe(404)
})

test('the report is a document, a table and data', async () => {
  const { ask, visit, say } = await begun()
  const photo = uuid()
  await ask.raw('PUT', `/photos/${photo}?visit=${visit}`, png, 'image/png')
  await say(
    { kind: 'complaint', complaint: 'not-cooling', words: '=HYPERLINK("x")' },
    { kind: 'call', call: 'cool1' },
    { kind: 'reading', meter: 'volts', from: 'LPS1.1', to: 'TB.C', value: 25.1 },
    { kind: 'reading', meter: 'volts', from: 'LPS1.2', to: 'TB.C', value: 0 },
    { kind: 'photo', photo, of: 'LPS1', words: 'Oil at the joint' },
    { kind: 'repair', of: 'LPS1', words: 'Leak mended' },
    ...runLong('cool1'),
    { kind: 'proof', call: 'cool1', words: '15.5 A', passed: true },
    { kind: 'sign-off', outcome: 'repaired', words: 'Cools again.' },
  )
  const pdf = Buffer.from(await (await ask.raw('GET', `/visits/${visit}/report.pdf`)).arrayBuffer())
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  expect(pdf.length).toBeGreaterThan(5000)
  const csv = await (await ask.raw('GET', `/visits/${visit}/report.csv`)).text()
  expect(csv).toMatch(/As found,Low-pressure switch 1: in,25\.1 V/)
  expect(csv).not.toMatch(/,=HYPERLINK/)
  const { body } = await ask('GET', `/visits/${visit}/report.json`)
  expect(body.report.headline).toBe('Repaired and proven')
  expect(body.entries).toHaveLength(10)
})

test('another shop sees none of it', async () => {
  const { ask, visit, unit, site, say } = await begun()
  await say({ kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.G' })
  const photo = uuid()
  await ask.raw('PUT', `/photos/${photo}?visit=${visit}`, png, 'image/png')
  const other = await client(server, stranger)
  expect((await other('GET', '/temporary')).body.measures).toEqual([])
  expect((await other('GET', '/experience')).body.repairs).toEqual({})
  expect((await other('GET', `/units/${unit}/record`)).status).toBe(404)
  expect((await other('GET', `/sites/${site}/pairings`)).body).toEqual({ pairs: [], steps: [], places: [] })
  expect((await other('GET', `/photos/${photo}`)).status).toBe(404)
  expect((await other.raw('PUT', `/photos/${uuid()}?visit=${visit}`, png, 'image/png')).status).toBe(404)
  for (const format of ['pdf', 'csv', 'json'])
    expect((await other.raw('GET', `/visits/${visit}/report.${format}`)).status).toBe(404)
})

test('old visits are found by words that were said on them, by their own shop, until they are taken back', async () => {
  const ask = await demoClient(server)
  const { body: places } = await ask('GET', '/places')
  const visit = uuid()
  await ask('POST', '/visits', { id: visit, unit: places.units[0].id })
  const note = entryOf(visit, { kind: 'note', words: 'Squirrel’s nest behind the économiseur' })
  await ask('POST', '/entries', { entries: [note] })
  const found = async (words: string): Promise<readonly string[]> => {
    const { status, body } = await ask('GET', `/search?words=${encodeURIComponent(words)}`)
    expect(status).toBe(200)
    return body.visits.map((each: { visit: string }) => each.visit)
  }
  for (const words of ['squirrel', 'NEST squir', 'économ', 'squirrel’s nest'])
    expect([words, await found(words)]).toEqual([words, [visit]])
  for (const words of ['', '  ', "'", '& | !', 'squirrel hawk', 'x'.repeat(3000), '%_:*'])
    expect([words, await found(words)]).toEqual([words, []])
  const other = await client(server, stranger)
  expect((await other('GET', '/search?words=squirrel')).body.visits).toEqual([])
  await ask('POST', '/entries', { entries: [entryOf(visit, { kind: 'retracted', entry: note.id })] })
  expect(await found('squirrel')).toEqual([])
})

test('a test point pinned on one visit is shown on every later one, moved by a newer pin, gone when taken back', async () => {
  const { ask, unit, say } = await begun('split-heat-pump')
  const photo = uuid()
  const pin = (of: string, x: number) => ({ kind: 'pinned', photo, of, x, y: 40 })
  await say({ kind: 'photo', photo, words: 'Panel' })
  const [, wrong] = await say(pin('TB.R', 10), pin('LPS.1', 55))
  const later = await begun('split-heat-pump')
  expect(later.unit).toBe(unit)
  await later.say(pin('TB.R', 12.5))
  await say({ kind: 'retracted', entry: wrong })
  const { body } = await ask('GET', `/units/${unit}/panel`)
  expect(body.spots).toEqual([{ kind: 'pinned', photo, of: 'TB.R', x: 12.5, y: 40 }])
  expect(body.photos[0]).toMatchObject({ photo, words: 'Panel' })
  await expect(say(pin('TB.R', 101))).rejects.toThrow(/less than or equal to 100/)
  const other = await client(server, stranger)
  expect((await other('GET', `/units/${unit}/panel`)).body.spots ?? []).toEqual([])
})
