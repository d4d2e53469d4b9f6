// npm run storm: devices of several people say 2,000 things over bad lines while server and database are
// killed; every one must be there once, under the right name, on the server and on every device that
// follows the visit
import { fork } from 'node:child_process'
import { mkdir, readFile, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { machine } from '../house/machine.mjs'
import { root, stateFolder } from '../house/paths.mjs'
import { throwAwayHouse } from '../house/throwAway.mjs'
import { startBadLine } from './proxy.mjs'

const entries = Number(process.argv[2] ?? 2000)
const seed = Number(process.argv[3] ?? 480)
/** Whose each device is: one person has two. */
const owners = ['ines@skerry.example', 'tor@skerry.example', 'ines@skerry.example', 'tor@skerry.example']
let state = seed
/** A small generator whose every run from one seed is the same. */
const random = () => {
  state = (state * 1664525 + 1013904223) >>> 0
  return state / 4294967296
}
const pause = (ms) =>
  new Promise((resolve) => {
    setTimeout(resolve, ms)
  })

const house = await throwAwayHouse()
await mkdir(stateFolder, { recursive: true })
const share = Math.ceil(entries / owners.length)

/** A device of its owner on a line of its own, as a process; what it has told so far. */
async function startDevice(email, number) {
  const line = await startBadLine(house.port, random)
  const report = path.join(stateFolder, `storm-${number}.json`)
  const program = path.join(root, 'scripts', 'storm', 'device.ts')
  const args = [`http://127.0.0.1:${line.port}`, email, String(share), String(seed + number), report]
  const child = fork(program, args, { cwd: root, execArgv: ['--import', 'tsx'] })
  const device = { email, line, report, child, told: {}, isOver: false }
  child.on('message', (message) => Object.assign(device.told, message))
  device.ended = new Promise((resolve) => {
    child.once('close', (code) => {
      device.isOver = true
      resolve(code)
    })
  })
  return device
}

const devices = await Promise.all(owners.map(startDevice))
const allTold = (what) => devices.every(({ told, isOver }) => told[what] !== undefined || isOver)
const kills = { server: 0, database: 0 }
let diedByItself = 0
let outages = 0
const start = Date.now()
while (!allTold('started')) await pause(50)
const shared = devices[0].told.started
for (const { child } of devices) child.send({ shared })

/** One thing goes wrong: the server or the database is killed, or a device's line goes down for a while. */
async function mishap() {
  const dice = random()
  if (dice < 0.35) {
    kills.server += 1
    if (!(await house.killServer())) diedByItself += 1
    await pause(200 + random() * 600)
    await house.startServer()
  } else if (dice < 0.6) {
    kills.database += 1
    await house.postgres.kill()
    await pause(200 + random() * 800)
    await house.postgres.restart()
  } else {
    const { line, child } = devices[Math.floor(random() * devices.length)]
    outages += 1
    line.setDown(true)
    child.send({ down: true })
    await pause(1000 + random() * 2000)
    line.setDown(false)
  }
}

while (!allTold('said')) {
  await pause(300 + random() * 900)
  if (!allTold('said')) await mishap()
}
if (!house.serverIsAlive()) {
  diedByItself += 1
  await house.startServer()
}
for (const { line, child } of devices) {
  line.becomeCalm()
  child.send({ calm: true })
}
while (!allTold('sent')) await pause(100)
for (const { child } of devices) if (child.connected) child.send({ read: true })
const codes = await Promise.all(devices.map(({ ended }) => ended))
const reports = await Promise.all(
  devices.map(async ({ report, email }) => ({ email, ...JSON.parse(await readFile(report, 'utf8')) })),
)

// what there really is, asked of the database and not of the program
const { default: pg } = await import('pg')
const client = new pg.Client({ connectionString: house.postgres.adminUrl })
await client.connect()
const rows = (
  await client.query(
    'SELECT entries.id, visit_id AS visit, email FROM entries JOIN people ON people.id = entries.person_id',
  )
).rows
const photos = new Set((await client.query('SELECT id FROM photos')).rows.map(({ id }) => id))
await client.end()
for (const { line } of devices) line.stop()
await house.stop()

const kept = new Map(rows.map((row) => [row.id, row]))
const said = reports.flatMap((report) => report.said.map((id) => ({ id, email: report.email })))
const onShared = rows.filter(({ visit }) => visit === shared).map(({ id }) => id)
const sum = (of) => reports.reduce((total, report) => total + of(report), 0)
const problems = {
  'lost, or twice': said.filter(({ id }) => rows.filter((row) => row.id === id).length !== 1).length,
  'under another name': said.filter(({ id, email }) => kept.get(id)?.email !== email).length,
  'refused or unsent on their device': sum(({ unsent }) => unsent),
  'pictures missing': sum(({ pictures }) => pictures.filter((id) => !photos.has(id)).length),
  'entries of the shared visit that a device has not': sum(
    (report) => onShared.filter((id) => !report.shared.includes(id)).length,
  ),
  'entries that a device has and the server has not': sum(
    (report) => report.shared.filter((id) => !kept.has(id)).length,
  ),
  'server ended by itself': diedByItself,
}
const lineSum = (what) => devices.reduce((total, { line }) => total + line.counts[what], 0)
const figures = {
  'entries said': said.length,
  'of them corrections': sum(({ corrections }) => corrections),
  pictures: sum(({ pictures }) => pictures.length),
  'visits begun with no signal': sum(({ begunOffline }) => begunOffline),
  'entries of the shared visit': onShared.length,
  ...problems,
  'server killed': kills.server,
  'PostgreSQL killed': kills.database,
  'lines gone for 1 to 3 s': outages,
  'devices closed and opened again': sum(({ restarts }) => restarts),
  requests: lineSum('requests'),
  'dropped on the way': lineSum('dropped'),
  'answers lost': lineSum('answersLost'),
  repeated: lineSum('repeated'),
  delayed: lineSum('delayed'),
  seconds: Math.round((Date.now() - start) / 1000),
}
console.log(JSON.stringify(figures, null, 2))
for (const { email, refusals } of reports) if (refusals.length > 0) console.log(email, refusals)
const isGood = codes.every((code) => code === 0) && Object.values(problems).every((count) => count === 0)
if (isGood)
  await writeFile(
    path.join(root, 'docs', 'storm.md'),
    `# Bad lines

By \`npm run storm -- ${entries} ${seed}\` on ${machine}: ${devices.length} devices of ${new Set(owners).size} people, each the application's own store and sending, say ${said.length} things on visits of their own and on one that all share, over lines that drop requests, lose answers, repeat, delay and go, while server and PostgreSQL are killed (SIGKILL, immediate stop). What there is in the end is asked of the database itself.

| what | number |
| --- | --- |
${Object.entries(figures)
  .map(([what, number]) => `| ${what} | ${number} |`)
  .join('\n')}
`,
  )
process.exit(isGood ? 0 : 1)
