import { spawn } from 'node:child_process'
import { randomBytes } from 'node:crypto'
import { mkdir, readFile } from 'node:fs/promises'
import path from 'node:path'
import { keepDatabase } from './keepDatabase.mjs'
import { keepRunning } from './keepRunning.mjs'
import { root } from './paths.mjs'
import { startPostgres } from './postgres.mjs'
import { freePort } from './run.mjs'
import { startServer } from './server.mjs'
import { troubleInWords } from './troubleInWords.mjs'

const patienceMs = 30_000

async function answersInTime(address) {
  const until = Date.now() + patienceMs
  while (Date.now() < until) {
    const is = await fetch(address).then(
      ({ ok }) => ok,
      () => false,
    )
    if (is) return true
    await new Promise((resolve) => setTimeout(resolve, 200))
  }
  return false
}

/**
 * Kills the server, and the database under it, the hard way, and looks whether both come back by
 * themselves; starts the house twice at once. Gives what went wrong, each in words.
 */
export async function supervisionProblems(scratch) {
  const folder = path.join(scratch, 'supervised')
  const postgres = await startPostgres(folder, { throwAway: true })
  const port = await freePort()
  const health = `http://127.0.0.1:${port}/api/health`
  const keptDatabase = keepDatabase(postgres, 300)
  let child
  const kept = await keepRunning(async () => {
    child = await startServer({
      databaseUrl: postgres.url,
      sessionSecret: randomBytes(16).toString('hex'),
      port,
      environment: { DEMO: 'none', LOG_LEVEL: 'silent' },
    })
    return child
  })
  const problems = []
  const expect = async (words) => {
    if (!(await answersInTime(health))) problems.push(words)
  }
  try {
    await expect('the server does not answer')
    const dead = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGKILL')
    await dead
    await expect('a killed server does not come back')
    const [pid] = (await readFile(path.join(folder, 'data', 'postmaster.pid'), 'utf8')).split('\n')
    process.kill(Number(pid), 'SIGKILL')
    await new Promise((resolve) => setTimeout(resolve, 500))
    await expect('a killed database does not come back')
    problems.push(...(await atOnce(path.join(scratch, 'twice'))))
    problems.push(...wordsOfTrouble())
  } finally {
    keptDatabase.stop()
    await kept.stop()
    await postgres.stop()
  }
  return problems
}

/**
 * Two first starts at the same moment: one makes the cluster and answers, the other says that it is under
 * way.
 */
async function atOnce(home) {
  await mkdir(home, { mode: 0o711 })
  const port = await freePort()
  const env = { ...process.env, JOKULGALE_HOME: home, PORT: String(port) }
  const starts = [0, 1].map(() => {
    const child = spawn(process.execPath, [path.join(root, 'scripts', 'start.mjs'), '--empty'], { env })
    const run = { child, said: '', code: null }
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (data) => {
        run.said += data
      })
    run.ended = new Promise((resolve) => {
      child.once('exit', (code) => {
        run.code = code
        resolve()
      })
    })
    return run
  })
  const answers = await answersInTime(`http://127.0.0.1:${port}/api/health`)
  const [refused] = starts.filter(({ code }) => code === 1)
  const isSaid = refused !== undefined && /under way|Already running/.test(refused.said)
  for (const { child, code } of starts) if (code === null) child.kill('SIGTERM')
  await Promise.all(starts.map(({ ended }) => ended))
  return answers && isSaid ? [] : [`two first starts at once: ${starts.map(({ said }) => said).join(' | ')}`]
}

const wordsOfTrouble = () => {
  const full = Object.assign(new Error('ENOSPC'), { code: 'ENOSPC' })
  return /disk that is full.*start again/.test(troubleInWords(full, '/somewhere'))
    ? []
    : ['a full disk is not said in words']
}
