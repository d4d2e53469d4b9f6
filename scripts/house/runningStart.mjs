import { existsSync } from 'node:fs'
import { readFile, rm, writeFile } from 'node:fs/promises'
import { startLock } from './paths.mjs'
import { isAlive } from './run.mjs'

/**
 * The `npm start` that runs already: its process, and its address once it has one; null when there is
 * none.
 */
export async function runningStart() {
  if (!existsSync(startLock)) return null
  const { pid, address } = JSON.parse((await readFile(startLock, 'utf8').catch(() => '')) || '{}')
  const command = pid ? await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '') : ''
  return pid !== process.pid && isAlive(pid) && command.includes('start.mjs') ? { pid, address } : null
}

/**
 * Takes the place of the one start that there may be, before it touches anything. Throws where it is
 * taken.
 */
export async function beTheOnlyStart() {
  const mine = JSON.stringify({ pid: process.pid })
  for (;;) {
    try {
      await writeFile(startLock, mine, { flag: 'wx' })
      return
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
    }
    const running = await runningStart()
    if (running)
      throw new Error(
        running.address
          ? `Already running at ${running.address} (process ${running.pid}). Stop it with Ctrl-C there first.`
          : `Another start is under way (process ${running.pid}). Wait for it, or stop it with Ctrl-C there.`,
      )
    // a killed run left it
    await rm(startLock, { force: true })
  }
}
