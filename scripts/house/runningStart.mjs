import { existsSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { startLock } from './paths.mjs'
import { isAlive } from './run.mjs'

/** The `npm start` that runs already: its process and address; null when there is none. */
export async function runningStart() {
  if (!existsSync(startLock)) return null
  const { pid, address } = JSON.parse(await readFile(startLock, 'utf8').catch(() => '{}'))
  const command = pid ? await readFile(`/proc/${pid}/cmdline`, 'utf8').catch(() => '') : ''
  return pid !== process.pid && isAlive(pid) && command.includes('start.mjs') ? { pid, address } : null
}
