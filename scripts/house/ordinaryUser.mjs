import { readFile, stat } from 'node:fs/promises'
import path from 'node:path'
import { root, serverBundle } from './paths.mjs'
import { run } from './run.mjs'

export const isRoot = process.getuid?.() === 0

/** A user of this machine by name; null where there is none. */
export async function userNamed(name) {
  const passwd = await readFile('/etc/passwd', 'utf8')
  const line = passwd.split('\n').find((entry) => entry.startsWith(`${name}:`))
  if (!line) return null
  const [, , uid, gid] = line.split(':').map(Number)
  return { uid, gid }
}

/** Whether a user can pass through a folder and all its parents. */
export async function canPass(folder, { uid, gid }) {
  for (let at = folder; at !== path.dirname(at); at = path.dirname(at)) {
    const { mode, uid: its, gid: group } = await stat(at)
    const bits = its === uid ? mode >> 6 : group === gid ? mode >> 3 : mode
    if ((bits & 1) === 0) return false
  }
  return true
}

const needed = [serverBundle, path.join(root, 'node_modules', 'express', 'package.json')]
const reads = `for (const file of ${JSON.stringify(needed)}) require('node:fs').readFileSync(file)`
let found

/**
 * Who the server runs as when root starts it: an ordinary user, `RUN_AS` or nobody. An empty answer: as
 * whoever starts it, because that is an ordinary user, or because no other can read the program, which is
 * said.
 */
export function ordinaryUser() {
  found ??= find()
  return found
}

async function find() {
  if (!isRoot) return {}
  const name = process.env.RUN_AS ?? 'nobody'
  const user = await userNamed(name)
  const why = user
    ? await run(process.execPath, ['-e', reads], { ...user, cwd: '/', quiet: true }).then(
        () => '',
        () => `the user ${name} cannot read ${root}`,
      )
    : `there is no user ${name}`
  if (!why) return user
  console.warn(`The server runs as root: ${why}. Give it a user with RUN_AS, in a folder that it can read.`)
  return {}
}
