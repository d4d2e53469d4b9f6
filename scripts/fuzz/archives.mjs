// npm run fuzz:archives -- --count 20000 --seed 480: archives of a shop, spoiled, into an empty house:
// brought in whole, or refused in words with nothing written
import { Buffer } from 'node:buffer'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { parseArgs } from 'node:util'
import { bundle } from '../house/build.mjs'
import { machine } from '../house/machine.mjs'
import { serverFolder } from '../house/paths.mjs'
import { throwAwayHouse } from '../house/throwAway.mjs'
import * as spoiling from './change.mjs'

const { values } = parseArgs({
  options: { count: { type: 'string', default: '20000' }, seed: { type: 'string', default: '480' } },
})
const house = await throwAwayHouse()
const folder = await mkdtemp(path.join(tmpdir(), 'archives-'))
try {
  const api = `${house.address}/api`
  const signedIn = await fetch(`${api}/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'ines@skerry.example', password: 'north-stairs-480' }),
  })
  const [cookie] = signedIn.headers.get('set-cookie').split(';')
  const archive = await fetch(`${api}/shop/archive.zip`, { headers: { cookie } })
  // beside the server's own bundle, where it finds the packages that it needs
  const out = path.join(serverFolder, 'dist', 'fuzzArchives.mjs')
  await bundle(path.join(serverFolder, 'archive', 'fuzzArchives.ts'), out)
  const { fuzzArchives } = await import(pathToFileURL(out).href)
  const count = Number(values.count)
  spoiling.setSeed(Number(values.seed))
  const said = ({ accepted, refused, wrong }) =>
    `${accepted} brought in, ${refused} refused with words, ${wrong.length} neither`
  const tally = await fuzzArchives({
    databaseUrl: await house.postgres.newDatabase('archives'),
    migrations: path.join(serverFolder, 'db', 'migrations'),
    archive: Buffer.from(await archive.arrayBuffer()),
    folder,
    count,
    spoiling,
    onProgress: (tried, soFar) => console.error(`${tried} of ${count}: ${said(soFar)}`),
  })
  console.log(
    `archives of a shop: ${count} files, ${said(tally)}; the slowest took ${tally.slowest.toFixed(0)} ms`,
  )
  for (const each of tally.wrong.slice(0, 5)) console.log(each)
  console.log(`seed ${values.seed}, ${machine}`)
  process.exitCode = tally.wrong.length > 0 ? 1 : 0
} finally {
  await rm(folder, { recursive: true })
  await house.stop()
}
