// npm run storm: a device says 2,000 things over a bad line while server and database are killed; every one
// must be there once on both sides
import { spawn } from 'node:child_process'
import { readFile, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { machine } from '../house/machine.mjs'
import { root } from '../house/paths.mjs'
import { throwAwayHouse } from '../house/throwAway.mjs'
import { startBadLine } from './proxy.mjs'

const entries = Number(process.argv[2] ?? 2000)
const seed = Number(process.argv[3] ?? 480)
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
const line = await startBadLine(house.port, random)
const kills = { server: 0, database: 0 }
const report = path.join(root, '.jokulgale', 'storm.json')
const device = spawn(
  'npx',
  [
    'tsx',
    path.join(root, 'scripts', 'storm', 'device.ts'),
    `http://127.0.0.1:${line.port}`,
    String(entries),
    String(seed),
    report,
  ],
  { cwd: root, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] },
)
let said = false
let diedByItself = 0
device.on('message', (message) => {
  if (message === 'said') said = true
})
const ended = new Promise((resolve) => {
  device.on('close', resolve)
})
const start = Date.now()
await pause(3000)
while (!said && device.exitCode === null) {
  await pause(800 + random() * 2200)
  if (said) break
  if (random() < 0.5) {
    kills.server += 1
    if (!(await house.killServer())) diedByItself += 1
    await pause(200 + random() * 600)
  } else {
    kills.database += 1
    await house.postgres.kill()
    await pause(200 + random() * 800)
    await house.postgres.restart()
    continue
  }
  await house.startServer()
}
if (!house.serverIsAlive()) {
  diedByItself += 1
  await house.startServer()
}
line.becomeCalm()
const code = await ended
line.stop()
await house.stop()
const result = {
  entries,
  seed,
  kills,
  diedByItself,
  line: line.counts,
  seconds: Math.round((Date.now() - start) / 1000),
  ...JSON.parse(await readFile(report, 'utf8').catch(() => '{}')),
}
console.log(JSON.stringify(result, null, 2))
if (code === 0 && diedByItself === 0)
  await writeFile(
    path.join(root, 'docs', 'storm.md'),
    `# A bad line

By \`npm run storm -- ${entries} ${seed}\` on ${machine}: the device's own sending code says ${entries} things, is itself killed and started again ${result.restarts} times, over a line that drops requests, loses answers, repeats and delays, while server and PostgreSQL are killed.

| what | number |
| --- | --- |
| entries said | ${entries} |
| on the device afterwards, each once | ${result.onDevice} |
| on the server afterwards, each once | ${result.onServer} |
| lost, doubled or refused | ${result.wrong} |
| server killed | ${kills.server} |
| PostgreSQL killed | ${kills.database} |
| server ended by itself over it | ${diedByItself} |
| requests | ${result.line.requests} |
| dropped on the way | ${result.line.dropped} |
| answers lost | ${result.line.answersLost} |
| repeated | ${result.line.repeated} |
| delayed | ${result.line.delayed} |
| seconds | ${result.seconds} |
`,
  )
process.exit(diedByItself > 0 ? 1 : (code ?? 1))
