// npm run scale: how fast the lists of a large shop answer while its people write
import { randomUUID } from 'node:crypto'
import { readFile, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { machine } from '../house/machine.mjs'
import { root } from '../house/paths.mjs'
import { throwAwayHouse } from '../house/throwAway.mjs'
import { commonWord, fillShop, rareWord } from './fill.mjs'

const visits = Number(process.argv[2] ?? 50_000)
const size = { sites: 250, units: 2500, visits }
const requests = Number(process.argv[3] ?? 500)
const writers = 10
const atOnce = 2

const house = await throwAwayHouse()
const seconds = (since) => Math.round((Date.now() - since) / 100) / 10

try {
  let since = Date.now()
  const entries = await fillShop(house.postgres.url, size)
  console.log(`${entries} entries in ${seconds(since)} s`)
  // as after an upgrade: what is kept beside the logs is made anew before the server listens
  await house.killServer()
  since = Date.now()
  await house.startServer()
  const summedUp = seconds(since)
  console.log(`summed up from the logs in ${summedUp} s`)

  const signedIn = await fetch(`${house.address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'ines@skerry.example', password: 'north-stairs-480' }),
  })
  await signedIn.text()
  const cookie = signedIn.headers.get('set-cookie').split(';')[0]
  const ask = async (method, address, body) => {
    const answer = await fetch(`${house.address}/api${address}`, {
      method,
      headers: { cookie, 'content-type': 'application/json' },
      body: body && JSON.stringify(body),
    })
    const text = await answer.text()
    if (answer.status >= 400) throw new Error(`${method} ${address}: ${answer.status} ${text.slice(0, 200)}`)
    return { text, json: () => JSON.parse(text) }
  }
  const { items } = (await ask('GET', '/board')).json()
  const unitIds = items.map(({ unit }) => unit.id)
  const lists = {
    Board: () => '/board',
    'Register of temporary measures': () => '/temporary',
    'Unit record and history': (k) => `/units/${unitIds[k % unitIds.length]}/record`,
    'Experience of the shop': () => '/experience',
    'Search, a word of every tenth visit': () => `/search?words=${commonWord}`,
    'Search, a rare word': () => `/search?words=${rareWord}`,
    'Entries of a visit': (k) => `/visits/${items[k % items.length].visit}/entries?after=0`,
  }

  const written = []
  let isOver = false
  const write = async (writer) => {
    for (let k = 0; !isOver; k++) {
      const { visit } = items[(writer * 17 + k) % items.length]
      const begun = performance.now()
      await ask('POST', '/entries', {
        entries: [
          {
            id: randomUUID(),
            visit,
            clock: { wall: Date.now(), counter: 0, device: `writer-${writer}` },
            body: { kind: 'note', words: `said meanwhile by ${writer}, ${k}` },
          },
        ],
      })
      written.push(performance.now() - begun)
      await new Promise((resolve) => {
        setTimeout(resolve, 1000 - (performance.now() - begun))
      })
    }
  }
  const writing = Array.from({ length: writers }, (_, writer) => write(writer))

  const measured = []
  for (const [name, address] of Object.entries(lists)) {
    const times = []
    let bytes = 0
    let next = 0
    const read = async () => {
      while (next < requests) {
        const k = next++
        const begun = performance.now()
        const { text } = await ask('GET', address(k))
        times.push(performance.now() - begun)
        bytes = Math.max(bytes, text.length)
      }
    }
    await Promise.all(Array.from({ length: atOnce }, read))
    measured.push({ name, ...quantiles(times), kilobytes: Math.round(bytes / 1000) })
    console.log(measured.at(-1))
  }
  isOver = true
  await Promise.all(writing)
  const writes = quantiles(written)
  const status = await readFile(`/proc/${house.serverPid()}/status`, 'utf8')
  const mostMegabytes = Math.round(Number(/VmHWM:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024)
  console.log({ writes, mostMegabytes })
  await writeFile(
    path.join(root, 'docs', 'scale.md'),
    page({ entries, summedUp, measured, writes, written: written.length, mostMegabytes }),
  )
} finally {
  await house.stop()
}

function quantiles(times) {
  const sorted = [...times].sort((a, b) => a - b)
  const at = (share) => Math.round(sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))])
  return { median: at(0.5), p99: at(0.99), most: at(1) }
}

function page({ entries, summedUp, measured, writes, written, mostMegabytes }) {
  const rows = measured.map(
    ({ name, median, p99, most, kilobytes }) => `| ${name} | ${median} | ${p99} | ${most} | ${kilobytes} |`,
  )
  return `# A large shop

By \`npm run scale -- ${visits} ${requests}\` on ${machine}: one shop of ${size.units} units and ${visits} visits with ${entries.toLocaleString('en')} entries, filled in the database. ${requests} requests of each list, ${atOnce} at a time, while ${writers} people each write an entry a second.

| what | median, ms | 99th of 100, ms | most, ms | kB |
| --- | --- | --- | --- | --- |
${rows.join('\n')}
| Writing an entry (${written}) | ${writes.median} | ${writes.p99} | ${writes.most} | |

The server’s process took at most ${mostMegabytes} MB of memory. Summing up all logs anew, as the first start after an upgrade may, took ${summedUp} s.

## How

The log is the record and is only added to. Two tables are kept beside it, in the transaction that adds to it: \`unit_summaries\` (measures that are still on, proven repairs counted) and \`visit_summaries\` (how each call stands, and the words that are searched). Each follows from the log alone; a row that an older version of the program wrote is made anew at the start, and a test deletes both and finds them the same again. The board reads the newest visits by an index, a unit’s record the logs of that unit.

## A hundred times that

By means that there are, with no engine of our own:

- **Entries**: declarative partitions of \`entries\` by hash of the shop, so that indexes stay in memory for the shops at work; old partitions on slower disks.
- **Reading**: streaming replicas for lists, reports and archives; writes and what a device reads of its own writes stay with the primary.
- **Pictures**: into an object store behind the same addresses; the rows keep what they are now but for the bytes.
- **Servers**: sessions, account locks, tries at the door, documents, letters and backups are in PostgreSQL, so several stand behind one proxy; a test runs two on one database.
`
}
