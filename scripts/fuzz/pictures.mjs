// npm run fuzz:pictures [-- --count 5000]: changed pictures through upload and report; the server must live and answer
import { Buffer } from 'node:buffer'
import { randomUUID } from 'node:crypto'
import { parseArgs } from 'node:util'
import sharp from 'sharp'
import { machine } from '../house/machine.mjs'
import { throwAwayHouse } from '../house/throwAway.mjs'
import { watchHealth } from './watchHealth.mjs'

const { values } = parseArgs({
  options: { count: { type: 'string', default: '5000' }, seed: { type: 'string', default: '480' } },
})
const count = Number(values.count)
let seed = Number(values.seed)
const next = (below) => {
  seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648
  return seed % below
}

const drawn = (width, height) =>
  sharp({
    create: {
      width,
      height,
      channels: 3,
      background: '#1d4a63',
      noise: { type: 'gaussian', mean: 128, sigma: 40 },
    },
  })
const originals = await Promise.all([
  drawn(320, 240).jpeg().toBuffer(),
  drawn(160, 120).png().toBuffer(),
  drawn(320, 240).webp().toBuffer(),
])

/** Some bytes changed, some cut out, or the end cut off. */
function changed(original) {
  const image = Buffer.from(original)
  for (let change = 0; change <= next(20); change++) image[next(image.length)] = next(256)
  if (next(4) === 0) return image.subarray(0, next(image.length))
  if (next(4) === 0)
    return Buffer.concat([image.subarray(0, next(image.length)), image.subarray(next(image.length))])
  return image
}

const house = await throwAwayHouse()
const api = `${house.address}/api`
const json = { 'content-type': 'application/json' }
const signedIn = await fetch(`${api}/session`, {
  method: 'POST',
  headers: json,
  body: JSON.stringify({ email: 'ines@skerry.example', password: 'north-stairs-480' }),
})
const headers = { cookie: signedIn.headers.get('set-cookie').split(';')[0] }
const { units } = await (await fetch(`${api}/places`, { headers })).json()
const newVisit = async () => {
  const id = randomUUID()
  await fetch(`${api}/visits`, {
    method: 'POST',
    headers: { ...headers, ...json },
    body: JSON.stringify({ id, unit: units[0].id }),
  })
  return id
}

const statuses = new Map()
let reports = 0
let badReports = 0
let visit = await newVisit()
const endWatch = watchHealth(api)
const upload = async (image) => {
  const { status } = await fetch(`${api}/photos/${randomUUID()}?visit=${visit}`, {
    method: 'PUT',
    headers: { ...headers, 'content-type': 'image/jpeg' },
    body: image,
  })
  statuses.set(status, (statuses.get(status) ?? 0) + 1)
}
for (let k = 0; k < count; k += 4) {
  await Promise.all([0, 1, 2, 3].map((n) => upload(changed(originals[(k + n) % originals.length]))))
  if (k % 100 === 96) {
    const pdf = await fetch(`${api}/visits/${visit}/report.pdf`, { headers })
    reports += 1
    if (
      pdf.status !== 200 ||
      !Buffer.from(await pdf.arrayBuffer())
        .subarray(0, 5)
        .equals(Buffer.from('%PDF-'))
    )
      badReports += 1
    visit = await newVisit()
  }
}
const slowestHealthMs = await endWatch()
const alive = house.serverIsAlive()
await house.stop()
const told = [...statuses].sort(([a], [b]) => a - b).map(([status, times]) => `${status}: ${times}`)
console.log(`${machine}\n${count} changed pictures, seed ${values.seed}; answers ${told.join(', ')}`)
console.log(
  `${reports} reports, ${badReports} of them not a PDF; slowest health ${Math.round(slowestHealthMs)} ms`,
)
console.log(alive ? 'the server lived' : 'THE SERVER ENDED')
const wrong = [...statuses.keys()].some((status) => status !== 204 && status !== 422)
process.exit(alive && !wrong && badReports === 0 && slowestHealthMs < 1000 ? 0 : 1)
