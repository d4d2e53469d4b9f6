// npm run bring-in -- FILE: a shop of its archive, into a database of your own that has no shop yet
import { existsSync } from 'node:fs'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { bundle } from './house/build.mjs'
import { databaseFolder, serverFolder } from './house/paths.mjs'
import { startPostgres } from './house/postgres.mjs'
import { runningStart } from './house/runningStart.mjs'

const [file] = process.argv.slice(2)
try {
  if (!file) throw new Error('Say which archive: npm run bring-in -- FILE')
  if (!existsSync(file)) throw new Error(`There is no file ${file}.`)
  const running = await runningStart()
  if (running) throw new Error(`The server runs at ${running.address}. Stop it first with Ctrl-C.`)
  // beside the server's own bundle, where it finds the packages that it needs
  const out = path.join(serverFolder, 'dist', 'bringIn.mjs')
  await bundle(path.join(serverFolder, 'archive', 'bringIn.ts'), out)
  const { bringIn } = await import(pathToFileURL(out).href)
  const postgres = await startPostgres(databaseFolder(true))
  try {
    const migrations = path.join(serverFolder, 'db', 'migrations')
    const { name, counts, owners } = await bringIn(postgres.url, migrations, path.resolve(file))
    const told = Object.entries(counts).map(([what, count]) => `${count} ${what}`)
    console.log(`${name} is here: ${told.join(', ')}.`)
    console.log(
      'Start with npm start -- --empty. Passwords do not travel; the owner chooses one by this link:',
    )
    for (const { email, path: link } of owners) console.log(`  ${email}: http://127.0.0.1:8080${link}`)
  } finally {
    await postgres.stop()
  }
} catch (error) {
  console.error(error.message)
  process.exitCode = 1
}
