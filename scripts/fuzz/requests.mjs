// npm run fuzz:requests [-- --count 50000 --seed 480]: changed requests to every address; none may end in a
// 500, cost
// more processor than it may, or keep another's health answer waiting
import { Buffer } from 'node:buffer'
import { randomUUID } from 'node:crypto'
import { readFile } from 'node:fs/promises'
import path from 'node:path'
import { parseArgs } from 'node:util'
import { pathToFileURL } from 'node:url'
import { bundle } from '../house/build.mjs'
import { machine } from '../house/machine.mjs'
import { stateFolder } from '../house/paths.mjs'
import { throwAwayHouse } from '../house/throwAway.mjs'
import { watchHealth } from './watchHealth.mjs'
import { changedText, changedValue, chance, choose, setSeed } from './change.mjs'

const { values } = parseArgs({
  options: { count: { type: 'string', default: '50000' }, seed: { type: 'string', default: '480' } },
})
const count = Number(values.count)
setSeed(Number(values.seed))
const mostCpuMs = 300
const mostHealthMs = 1000

const bundled = path.join(stateFolder, 'bundled', 'access.mjs')
await bundle('apps/server/requests/access.ts', bundled)
const { access } = await import(pathToFileURL(bundled).href)
const addresses = Object.keys(access).map((text) => text.split(' '))

const house = await throwAwayHouse({ logLevel: 'error' })
const api = `${house.address}/api`
const json = { 'content-type': 'application/json' }
async function signedIn(email) {
  const answer = await fetch(`${api}/session`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({ email, password: 'north-stairs-480' }),
  })
  return { cookie: answer.headers.get('set-cookie').split(';')[0] }
}
const owner = await signedIn('ines@skerry.example')
const technician = await signedIn('tor@skerry.example')
const { units, sites, diagrams } = await (await fetch(`${api}/places`, { headers: owner })).json()
const visit = randomUUID()
await fetch(`${api}/visits`, {
  method: 'POST',
  headers: { ...owner, ...json },
  body: JSON.stringify({ id: visit, unit: units[0].id }),
})

const clock = () => ({ wall: Date.now(), counter: 0, device: 'fuzz' })
const entry = (body) => ({ id: randomUUID(), visit, clock: clock(), body })
const bodies = [
  { kind: 'arrived' },
  { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 26.2, typed: '26.2' },
  { kind: 'condition', of: 'outdoorDryBulb', value: 91 },
  { kind: 'call', call: 'cool1' },
  { kind: 'power', is: 'isolated' },
  { kind: 'observation', what: 'burnt', of: 'CC1' },
  { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.Y1' },
  { kind: 'setting', of: 'EC.changeover', from: '62', to: '68' },
  { kind: 'plate', of: 'C1', values: { amps: 15.2 } },
  { kind: 'found-on', of: 'TS.Y1-TB.Y1', at: 'TB.Y2' },
  { kind: 'drop-out', fell: [{ from: 'LPS1.2', to: 'TB.C' }], held: [{ from: 'TB.R', to: 'TB.C' }] },
  { kind: 'repair', of: 'LPS1', reasoning: { chance: 0.9, shownBy: ['x'], rivals: [], program: '' } },
  { kind: 'proof', call: 'cool1', words: 'y', passed: true, values: [{ what: 'a', value: 1, unit: 'V' }] },
  { kind: 'corrected', entry: randomUUID(), value: 3 },
  { kind: 'sign-off', outcome: 'repaired', words: 'x', signedBy: 'A', signature: 'M 0 0 L 1 1' },
]
const { ladder } = diagrams.find(({ isBuiltIn }) => isBuiltIn)

/** A right request to an address, to be changed. */
const templates = {
  'POST /visits': () => ({ id: randomUUID(), unit: choose(units).id }),
  'POST /entries': () => ({ entries: [entry(choose(bodies)), entry(choose(bodies))] }),
  'POST /place-edits': () => ({
    edits: [
      {
        id: randomUUID(),
        of: 'unit',
        place: randomUUID(),
        clock: clock(),
        changes: Object.entries({ site: sites[0].id, label: 'X', diagram: diagrams[0].id }).map(
          ([field, to]) => ({ field, from: '', to }),
        ),
      },
    ],
  }),
  'POST /diagrams': () => ({
    id: randomUUID(),
    ladder: changedText(ladder),
    follows: chance(2) ? '' : diagrams[0].id,
  }),
  'POST /people/invitations': () => ({ name: 'A', email: 'a@b.example', role: 'technician', site: '' }),
  'POST /people/:id/role': () => ({ role: 'reader', site: sites[0].id }),
  'POST /password': () => ({ before: 'wrong-wrong-1', password: 'another-long-one' }),
}
const queries = [
  '',
  '?after=0',
  '?after=x',
  '?site=',
  '?paper=%00',
  '?offset=1e9',
  '?visit=',
  '?a[b]=1&a=2',
  '?%ff',
]
const ids = () =>
  choose([visit, units[0].id, sites[0].id, randomUUID(), '0', '%00', '..', 'x'.repeat(300), '%F0%9F'])

/** One changed request: a body that was right, with something wrong in it, as a rule. */
function request() {
  const [method, pattern] = choose(addresses)
  const at = pattern.replace(/:[a-z]+/g, ids) + choose(queries)
  if (method === 'GET' || method === 'DELETE') return { method, at }
  const template = templates[`${method} ${pattern}`]?.() ?? {}
  const body = JSON.stringify(changedValue(template))
  return { method, at, body: chance(12) ? changedText(body) : body }
}

const statuses = new Map()
const failures = []
const endWatch = watchHealth(api)

/** Processor time that the server has used, milliseconds; a tick is ten of them. */
async function cpuMs() {
  const [, after] = (await readFile(`/proc/${house.serverPid()}/stat`, 'utf8')).split(') ')
  const fields = after.split(' ')
  return 10 * (Number(fields[11]) + Number(fields[12]))
}

async function send({ method, at, body }) {
  try {
    const answer = await fetch(api + at, {
      method,
      headers: { ...choose([owner, technician]), ...json },
      body,
    })
    await answer.arrayBuffer()
    statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1)
    if (answer.status >= 500) failures.push(`${answer.status} ${method} ${at} ${(body ?? '').slice(0, 300)}`)
  } catch (error) {
    failures.push(`no answer: ${method} ${at}: ${error.message} ${(body ?? '').slice(0, 200)}`)
  }
}

/** The largest requests that there can be, one at a time: what each costs. */
function costly() {
  const many = (n, make) => Array.from({ length: n }, (_, k) => make(k))
  const letters = 'x'.repeat(1_900_000)
  const longLadder = (lines) => `${ladder}\n${lines}`.slice(0, 60_000)
  return {
    'entries with 500 readings': { at: '/entries', body: { entries: many(500, () => entry(bodies[1])) } },
    'entries by the ten thousand': { at: '/entries', body: { entries: many(10_000, () => ({})) } },
    'one entry of 1.9 MB': { at: '/entries', body: { entries: [entry({ kind: 'note', words: letters })] } },
    'points nobody has': {
      at: '/entries',
      body: { entries: many(500, (k) => entry({ ...bodies[1], from: `ZZ${k}.Q` })) },
    },
    'edits of 2,000 places': {
      at: '/place-edits',
      body: { edits: many(2000, () => templates['POST /place-edits']().edits[0]) },
    },
    'a circuit of 60,000 letters of wires': {
      at: '/diagrams',
      body: { id: randomUUID(), ladder: longLadder('  TB.R -red 1- ZZ.1\n'.repeat(4000)), follows: '' },
    },
    'a circuit of unknown parts': {
      at: '/diagrams',
      body: {
        id: randomUUID(),
        ladder: longLadder(many(2000, (k) => `part Q${k} contacter "x" in control\n`).join('')),
        follows: '',
      },
    },
    'a circuit of one endless line': {
      at: '/diagrams',
      body: {
        id: randomUUID(),
        ladder: `${ladder.split('rung')[0]}rung "x" control\n  TB.R${' = TB.R'.repeat(8000)}`,
        follows: '',
      },
    },
    '200 edits of places': {
      at: '/place-edits',
      body: { edits: many(200, () => templates['POST /place-edits']().edits[0]) },
    },
    '250 sign-offs with 250 readings': {
      at: '/entries',
      body: { entries: many(500, (k) => entry(k % 2 ? bodies[1] : bodies.at(-1))) },
    },
    'a circuit of 500 heaters': {
      at: '/diagrams',
      body: { id: randomUUID(), ladder: heaters(500), follows: '' },
    },
    'brackets 200,000 deep': { at: '/entries', text: '['.repeat(200_000) },
    'one key 100,000 times': { at: '/entries', text: `{${'"a":1,'.repeat(100_000)}"b":2}` },
  }
}

/** A circuit that can be read, as large as its text may be. */
function heaters(n) {
  const all = Array.from({ length: n }, (_, k) => k)
  return [
    'unit many "Many heaters"',
    'common SV.N',
    'call off "Off"',
    'zone here "Here"',
    'part SV supply "Supply" in here : system "208Y/120"',
    ...all.map((k) => `part H${k} heater "Heater ${k}" in here`),
    'rung "All" line',
    ...all.map((k) => `  SV.L1 -black ${k}- H${k}.1 = H${k}.2 -red ${k}- SV.L2`),
    '',
  ].join('\n')
}

let exit = 0
try {
  const perRound = 20
  for (let sent = 0; sent < count; sent += perRound) {
    await Promise.all(Array.from({ length: perRound }, () => send(request())))
    if (sent % 10_000 === 0 && sent > 0) console.log(`${sent} …`)
  }
  const costs = []
  for (const [words, { at, body, text }] of Object.entries(costly())) {
    const from = await cpuMs()
    await send({ method: 'POST', at, body: text ?? JSON.stringify(body) })
    costs.push({ words, ms: (await cpuMs()) - from, bytes: Buffer.byteLength(text ?? JSON.stringify(body)) })
  }
  const slowestHealthMs = await endWatch()
  console.log(`On ${machine}:`)
  console.log(
    [...statuses]
      .sort()
      .map(([status, n]) => `${n} × ${status}`)
      .join(', '),
  )
  for (const { words, ms, bytes } of costs) console.log(`${words}: ${ms} ms of processor for ${bytes} bytes`)
  console.log(`slowest health answer ${slowestHealthMs.toFixed(0)} ms`)
  for (const words of failures.slice(0, 20)) console.log(words)
  const dear = costs.filter(({ ms }) => ms > mostCpuMs)
  const passed =
    failures.length === 0 && dear.length === 0 && slowestHealthMs < mostHealthMs && house.serverIsAlive()
  console.log(passed ? 'passed' : `failed: ${failures.length} answers, ${dear.length} too dear`)
  exit = passed ? 0 : 1
} finally {
  await endWatch()
  await house.stop()
}
process.exit(exit)
