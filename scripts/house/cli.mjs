// npm run cli: the core at a prompt, bundled once and anew when its sources have changed
import { readdir, stat } from 'node:fs/promises'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { bundle } from './build.mjs'
import { root, stateFolder } from './paths.mjs'

const out = path.join(stateFolder, 'bundled', 'cli.mjs')

/** The newest change of any source in a folder, milliseconds. */
async function newest(folder) {
  const entries = await readdir(path.join(root, folder), { recursive: true, withFileTypes: true })
  const sources = entries.filter(
    (entry) => entry.isFile() && entry.name.endsWith('.ts') && !entry.parentPath.includes('node_modules'),
  )
  const times = await Promise.all(
    sources.map(async ({ parentPath, name }) => (await stat(path.join(parentPath, name))).mtimeMs),
  )
  return Math.max(...times)
}

const built = await stat(out).then(
  ({ mtimeMs }) => mtimeMs,
  () => 0,
)
const changed = Math.max(...(await Promise.all(['packages/core', 'apps/cli/src'].map(newest))))
if (changed > built) await bundle(path.join(root, 'apps/cli/src/main.ts'), out)
await import(pathToFileURL(out))
