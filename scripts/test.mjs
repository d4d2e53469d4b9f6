// npm test: every check there is, on a throw-away database; the last line counts them.
import { spawn } from 'node:child_process'
import { chmod, mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { randomBytes } from 'node:crypto'
import { backupProblems } from './house/backupCheck.mjs'
import { findAll } from './house/debian.mjs'
import { buildServer, buildWeb, installPackages } from './house/build.mjs'
import { root, webFolder } from './house/paths.mjs'
import { startPostgres } from './house/postgres.mjs'
import { freePort } from './house/run.mjs'
import { startServer, stopServer } from './house/server.mjs'
import { supervisionProblems } from './house/supervisionCheck.mjs'

let passed = 0
let failed = 0
const undo = []

/** Runs a program, showing what it prints; gives its exit code. */
const show = (command, args, env = {}) =>
  new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      stdio: ['ignore', 'inherit', 'inherit'],
      env: { ...process.env, ...env },
    })
    child.on('error', () => resolve(1))
    child.on('close', (code) => resolve(code ?? 1))
  })

function count(name, good) {
  if (good) passed += 1
  else failed += 1
  console.log(`${good ? 'passed' : 'FAILED'}: ${name}`)
}

/** Says how long a piece of the run took, so that what makes it slow is seen. */
async function timed(name, piece) {
  const start = performance.now()
  await piece()
  console.log(`${name}: ${Math.round((performance.now() - start) / 1000)} s`)
}

async function countJest(report) {
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(
    await readFile(report, 'utf8'),
  )
  passed += numPassedTests
  failed += numFailedTests + numRuntimeErrorTestSuites
}

async function countPlaywright(report) {
  const { stats } = JSON.parse(await readFile(report, 'utf8'))
  passed += stats.expected
  failed += stats.unexpected + stats.flaky
}

/** What needs neither database nor browser. */
const checks = [
  ['lint', ['eslint', '.', '--max-warnings', '0']],
  ['format', ['prettier', '--check', '--log-level', 'warn', '.']],
  ['types, lost promises, circles', ['oxlint', '.']],
].map(([words, args]) => [
  words,
  async () => {
    count(words, (await show('npx', args)) === 0)
  },
])

/** Some unit tests, on one core. Both cores are at work: what Node does beside them gains nothing. */
async function unitTests(scratch, words, chosen, env) {
  const report = path.join(scratch, `${words.replaceAll(/\W+/g, '-')}.json`)
  const args = [
    '--ci',
    '--silent',
    '--maxWorkers=1',
    '--json',
    `--outputFile=${report}`,
    '--reporters=default',
  ]
  const jest = path.join(root, 'node_modules/jest/bin/jest.js')
  const code = await show(process.execPath, ['--single-threaded', jest, ...args, ...chosen], {
    ...env,
    NODE_ENV: 'test',
  })
  await countJest(report).catch(() => count(words, code === 0))
}

/**
 * The core's tests are half of all: in two parts, so that neither core waits for the other at the end. In
 * more, each would solve the units anew that the others have solved: four take 526 s of processor, two 487 s.
 */
const coreParts = ['1/2', '2/2']
const coreTests = (scratch, part) =>
  unitTests(scratch, `core ${part}`, ['--config', 'scripts/house/coreTests.config.cjs'], { TESTS_PART: part })

const applicationTests = (scratch) => unitTests(scratch, 'application', ['--selectProjects', 'field'], {})

/** Those that need a database are among the rest. */
async function otherUnitTests(scratch) {
  const postgres = await startPostgres(path.join(scratch, 'postgres'), { throwAway: true })
  undo.push(() => postgres.stop())
  await unitTests(scratch, 'unit tests', ['--selectProjects', 'server', 'contract', 'cli'], {
    TEST_DATABASE_URL: postgres.url,
    TEST_ADMIN_URL: postgres.adminUrl,
  })
  await postgres.stop()
}

/** Whole calls in a browser. Builds first what it needs; the last checks of the list use the same builds. */
async function journeys(scratch) {
  await buildServer()
  await buildWeb()
  const postgres = await startPostgres(path.join(scratch, 'journeys'), { throwAway: true })
  undo.push(() => postgres.stop())
  const port = await freePort()
  const server = await startServer({
    databaseUrl: postgres.url,
    sessionSecret: randomBytes(16).toString('hex'),
    port,
    webFolder,
    environment: { SIGN_INS_PER_MINUTE: '1000' },
  })
  undo.push(() => stopServer(server))
  const ownPort = await freePort()
  const own = await startServer({
    databaseUrl: await postgres.newDatabase('own'),
    sessionSecret: randomBytes(16).toString('hex'),
    port: ownPort,
    webFolder,
    environment: { SIGN_INS_PER_MINUTE: '1000', DEMO: 'none' },
  })
  undo.push(() => stopServer(own))
  const report = path.join(scratch, 'journeys.json')
  const code = await show('npx', ['playwright', 'test', '-c', 'e2e', '--output', path.join(scratch, 'e2e')], {
    E2E_ORIGIN: `http://127.0.0.1:${port}`,
    E2E_OWN_ORIGIN: `http://127.0.0.1:${ownPort}`,
    E2E_REPORT: report,
  })
  await countPlaywright(report).catch(() => count('journeys', code === 0))
}

/** A backup brings back what a database had, and never takes one away. */
async function backups(scratch) {
  const problems = await backupProblems(scratch)
  for (const words of problems) console.error(words)
  count('backup and restore', problems.length === 0)
}

/** Server and database come back by themselves. */
async function supervision(scratch) {
  const problems = await supervisionProblems(scratch)
  for (const words of problems) console.error(words)
  count('supervision', problems.length === 0)
}

const scratch = await mkdtemp(path.join(tmpdir(), 'jokulgale-test-'))
// the database's own user passes through
await chmod(scratch, 0o711)
undo.push(() => rm(scratch, { recursive: true, force: true }))
try {
  await Promise.all([installPackages(), findAll()])
  // each of two cores takes the next when it has done with one: long ones first
  const waiting = [
    ['journeys', () => journeys(scratch)],
    ...coreParts.map((part) => [`core ${part}`, () => coreTests(scratch, part)]),
    ['the application', () => applicationTests(scratch)],
    ['the other unit tests', () => otherUnitTests(scratch)],
    ...checks,
    ['backup and restore', () => backups(scratch)],
    ['supervision', () => supervision(scratch)],
  ]
  const takeAll = async () => {
    for (let task = waiting.shift(); task; task = waiting.shift()) await timed(...task)
  }
  await Promise.all([takeAll(), takeAll()])
} catch (error) {
  console.error(error)
  failed += 1
}
for (const step of undo.reverse()) await step()
console.log(`${passed} passed, ${failed} failed`)
process.exit(failed === 0 && passed > 0 ? 0 : 1)
