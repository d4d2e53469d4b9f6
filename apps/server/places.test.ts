import { takePartOut } from '@jokulgale/core/diagram/editLadder'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { demoSignIn } from './demo/scenario'
import { keepBuiltInDiagrams } from './services/builtInDiagrams'
import { client, entryOf, openServer, stranger, strangerUnit, uuid, type Ask } from './testServer'

const server = openServer()
let ask: Ask
let other: Ask
beforeAll(async () => {
  await server.ready
  ask = await client(server, demoSignIn)
  other = await client(server, stranger)
})
afterAll(() => server.close())

let counter = 0
const edit = (
  of: 'site' | 'unit',
  place: string,
  values: Readonly<Record<string, string>>,
  from: Readonly<Record<string, string>> = {},
  wall = Date.now(),
) => ({
  id: uuid(),
  of,
  place,
  clock: { wall, counter: ++counter, device: 't' },
  changes: Object.entries(values).map(([field, to]) => ({ field, from: from[field] ?? '', to })),
})
const send = (...edits: readonly unknown[]) => ask('POST', '/place-edits', { edits })

async function made() {
  const site = uuid()
  const unit = uuid()
  const answer = await send(
    edit('site', site, { name: 'Gannet Hall', address: '1 Gannet Row' }),
    edit('unit', unit, { site, label: 'RTU-9', diagram: 'rooftop-480', place: 'Roof' }),
  )
  expect(answer.status).toBe(200)
  return { site, unit }
}
const unitOf = async (id: string) =>
  (await ask('GET', '/places')).body.units.find((unit: { id: string }) => unit.id === id)

test('a site and a unit made on a device are there, and sent again they are there once', async () => {
  const { site, unit } = await made()
  const change = edit('unit', unit, { place: 'Roof, north' }, { place: 'Roof' })
  await Promise.all([send(change), send(change), send(change)])
  expect(await unitOf(unit)).toMatchObject({
    site,
    label: 'RTU-9',
    place: 'Roof, north',
    installed: '',
    archived: false,
  })
  const { rows } = await server.pool.query('SELECT id FROM place_edits WHERE place_id = $1', [unit])
  expect(rows).toHaveLength(2)
})

test('of two edits of one field the later shows wherever it arrives, and the other is offered', async () => {
  const { unit } = await made()
  const now = Date.now()
  await send(edit('unit', unit, { serial: 'later' }, { serial: '' }, now + 2000))
  await send(edit('unit', unit, { serial: 'earlier' }, { serial: '' }, now + 1000))
  expect((await unitOf(unit)).serial).toBe('later')
  const { others } = (await ask('GET', '/places')).body
  expect(others).toContainEqual({ place: unit, field: 'serial', value: 'earlier' })
})

test.each([
  ['no label', { label: '', diagram: 'rooftop-480' }, /label/],
  ['a circuit that is not', { label: 'X', diagram: 'rooftop-9' }, /diagram/],
  ['a day that is not', { label: 'X', diagram: 'rooftop-480', installed: '2023-02-30' }, /installed/],
  ['a field that is not', { label: 'X', diagram: 'rooftop-480', colour: 'red' }, /colour/],
])('a unit with %s is refused by its field, and nothing of the batch is kept', async (_, values, field) => {
  const site = uuid()
  const answer = await send(
    edit('site', site, { name: 'Never kept' }),
    edit('unit', uuid(), { site, ...values } as Record<string, string>),
  )
  expect([answer.status, answer.body.fields[0].field]).toEqual([422, expect.stringMatching(field)])
  const { sites } = (await ask('GET', '/places')).body
  expect(sites.some(({ id }: { id: string }) => id === site)).toBe(false)
})

test('places of another shop are neither edited nor referred to', async () => {
  const taken = await send(edit('unit', strangerUnit, { label: 'Mine now' }))
  expect(taken.status).toBe(422)
  const { site } = await made()
  const foreign = await other('POST', '/place-edits', {
    edits: [edit('unit', uuid(), { site, label: 'X', diagram: 'd' })],
  })
  expect([foreign.status, foreign.body.fields[0].message]).toEqual([422, expect.stringMatching(/not known/)])
  const whole = edit('unit', strangerUnit, { site, label: 'Mine now', diagram: 'rooftop-480' })
  expect((await send(whole)).status).toBe(409)
  const { units } = (await other('GET', '/places')).body
  expect(units.find(({ id }: { id: string }) => id === strangerUnit).label).toBe('X')
})

test('a circuit of one’s own is kept as a version, and a visit keeps the one that it began with', async () => {
  const { unit } = await made()
  const visit = uuid()
  await ask('POST', '/visits', { id: visit, unit })
  const ladder = builtInUnitText('rooftop-480').replaceAll('CC1', 'K1')
  const sent = { id: uuid(), ladder, follows: 'rooftop-480' }
  expect((await ask('POST', '/diagrams', sent)).status).toBe(201)
  expect((await ask('POST', '/diagrams', sent)).status).toBe(201)
  expect((await ask('POST', '/diagrams', { ...sent, ladder: builtInUnitText('rooftop-480') })).status).toBe(
    409,
  )
  await send(edit('unit', unit, { diagram: sent.id }, { diagram: 'rooftop-480' }))
  const old = { kind: 'reading', meter: 'volts', from: 'CC1.A1', to: 'CC1.A2', value: 24 }
  expect((await ask('POST', '/entries', { entries: [entryOf(visit, old)] })).status).toBe(200)
  const after = uuid()
  await ask('POST', '/visits', { id: after, unit })
  expect((await ask('GET', `/visits/${after}`)).body.diagram).toBe(sent.id)
  expect((await ask('POST', '/entries', { entries: [entryOf(after, old)] })).status).toBe(422)
  const asBefore = uuid()
  await ask('POST', '/visits', { id: asBefore, unit, diagram: 'rooftop-480' })
  expect((await ask('GET', `/visits/${asBefore}`)).body.diagram).toBe('rooftop-480')
  expect((await ask('GET', `/visits/${visit}/report.json`)).status).toBe(200)
})

test('a plan is kept beside the circuit with why, and never without the safety controls of it', async () => {
  const { unit } = await made()
  const ladder = builtInUnitText('rooftop-480')
  const plan = async (text: string): Promise<string> => {
    const sent = { id: uuid(), ladder: text, follows: 'rooftop-480', why: 'New contactor names' }
    expect((await ask('POST', '/diagrams', sent)).status).toBe(201)
    return sent.id
  }
  const harmless = await plan(ladder.replaceAll('CC1', 'K1'))
  await send(edit('unit', unit, { plan: harmless }))
  const { units, diagrams } = (await ask('GET', '/places')).body
  const byId = ({ id }: { id: string }) => id === unit
  expect(units.find(byId)).toMatchObject({ diagram: 'rooftop-480', plan: harmless })
  expect(diagrams.find(({ id }: { id: string }) => id === harmless).why).toBe('New contactor names')
  const withoutSwitch = takePartOut(ladder, readLadder(ladder), 'HPS1')
  const unguarded = await plan(withoutSwitch.is === 'text' ? withoutSwitch.text : '')
  const refusal = await ask('POST', '/place-edits', {
    edits: [edit('unit', unit, { plan: unguarded }, { plan: harmless })],
  })
  expect(refusal.status).toBe(422)
  expect(refusal.body.fields[0].message).toMatch(/would no longer stop .*: put it back in series/)
  expect((await ask('GET', '/places')).body.units.find(byId).plan).toBe(harmless)
  const nowhere = await ask('POST', '/place-edits', { edits: [edit('unit', unit, { plan: 'nothing' })] })
  expect(nowhere.body.fields[0].message).toMatch(/not known/)
})

test('a circuit comes as PDF, on as many sheets as it takes and one for its parts', async () => {
  const sent = { id: uuid(), ladder: builtInUnitText('split-heat-pump'), follows: 'rooftop-480' }
  expect((await ask('POST', '/diagrams', sent)).status).toBe(201)
  const answer = await ask.raw('GET', `/diagrams/${sent.id}/drawing.pdf`)
  const pdf = Buffer.from(await answer.arrayBuffer())
  expect(answer.headers.get('content-disposition')).toContain('.pdf')
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-')
  const sheetsOf = (file: Buffer) => file.toString('latin1').match(/\/Type \/Page\b/g)?.length ?? 0
  expect(sheetsOf(pdf)).toBeGreaterThan(3)
  expect(pdf.toString('latin1')).toContain('/MediaBox [0 0 595.28 841.89]')
  const letter = await ask.raw('GET', `/diagrams/${sent.id}/drawing.pdf?paper=letter`)
  expect(Buffer.from(await letter.arrayBuffer()).toString('latin1')).toContain('/MediaBox [0 0 612 792]')
})

test('a circuit that cannot be read is refused with its lines, and one of another shop is not found', async () => {
  const answer = await ask('POST', '/diagrams', {
    id: uuid(),
    ladder: 'unit x "X"\npart A nothing "A" in hall',
    follows: '',
  })
  expect([answer.status, answer.body.fields.length > 0]).toEqual([422, true])
  expect(answer.body.fields.map(({ message }: { message: string }) => message).join()).toMatch(
    /line 2.*nothing/,
  )
  expect((await ask('GET', '/diagrams/d')).status).toBe(404)
  expect((await other('GET', '/diagrams/rooftop-480')).status).toBe(404)
  expect((await other.raw('GET', '/diagrams/rooftop-480/drawing.pdf')).status).toBe(404)
})

test('a circuit of the program that has changed is a new version: units go on to it, visits keep theirs', async () => {
  const shop = (await other('GET', '/session')).body.shop.id
  const keep = () => server.db.transaction((transaction) => keepBuiltInDiagrams(transaction, shop))
  await keep()
  const [site, unit, visit] = [uuid(), uuid(), uuid()]
  await other('POST', '/place-edits', {
    edits: [
      edit('site', site, { name: 'Elsewhere too' }),
      edit('unit', unit, { site, label: 'RTU-1', diagram: 'rooftop-480' }),
    ],
  })
  await other('POST', '/visits', { id: visit, unit })
  // as if the program had come with another text before
  const client = await server.pool.connect()
  try {
    await client.query('ALTER TABLE diagrams DISABLE TRIGGER diagrams_append_only')
    await client.query(
      "UPDATE diagrams SET ladder = ladder || E'\\n# older\\n' WHERE shop_id = $1 AND id = 'rooftop-480'",
      [shop],
    )
    await client.query('ALTER TABLE diagrams ENABLE TRIGGER diagrams_append_only')
  } finally {
    client.release()
  }
  await keep()
  await keep()
  const { units, diagrams } = (await other('GET', '/places')).body
  const now = units.find(({ id }: { id: string }) => id === unit).diagram
  expect(now).toMatch(/^rooftop-480 [0-9a-f]{8}$/)
  expect(diagrams.find(({ id }: { id: string }) => id === now)).toMatchObject({
    follows: 'rooftop-480',
    isBuiltIn: true,
  })
  expect((await other('GET', `/visits/${visit}`)).body.diagram).toBe('rooftop-480')
})
