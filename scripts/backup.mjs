// npm run backup [-- FILE] [--empty]: everything of the database in one file, while it runs or not
import path from 'node:path'
import { parseArgs } from 'node:util'
import { backUp } from './house/backup.mjs'
import { databaseFolder } from './house/paths.mjs'

const { values, positionals } = parseArgs({
  options: { empty: { type: 'boolean', default: false } },
  allowPositionals: true,
})
const day = new Date().toISOString().slice(0, 16).replace(/[:T]/g, '-')
const file = path.resolve(positionals[0] ?? `jokulgale-${day}.backup`)
try {
  await backUp(databaseFolder(values.empty), file)
  console.log(`Backed up to ${file}`)
} catch (error) {
  console.error(error.message)
  process.exit(1)
}
