// npm run restore -- FILE [--empty]: a database from a backup; the one that is there is kept beside it
import path from 'node:path'
import { parseArgs } from 'node:util'
import { restore } from './house/backup.mjs'
import { databaseFolder } from './house/paths.mjs'
import { runningStart } from './house/runningStart.mjs'

const { values, positionals } = parseArgs({
  options: { empty: { type: 'boolean', default: false } },
  allowPositionals: true,
})
try {
  const [file] = positionals
  if (!file) throw new Error('Say which backup: npm run restore -- FILE')
  const running = await runningStart()
  if (running) throw new Error(`The server runs at ${running.address}. Stop it first with Ctrl-C.`)
  const kept = await restore(databaseFolder(values.empty), path.resolve(file))
  console.log(`Restored from ${file}. ${kept ? `What was there is kept in ${kept}.` : ''}`)
} catch (error) {
  console.error(error.message)
  process.exit(1)
}
