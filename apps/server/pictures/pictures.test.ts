import path from 'node:path'
import sharp from 'sharp'
import { PictureDesk } from './pictureDesk'
import { demoClient, openServer, uuid, type Ask } from '../testServer'

const desk = new PictureDesk(path.join(__dirname, 'reencode.mjs'))
const server = openServer()
let ask: Ask
let visit = ''
beforeAll(async () => {
  ask = await demoClient(server)
  const { body } = await ask('GET', '/places')
  visit = uuid()
  await ask('POST', '/visits', { id: visit, unit: body.units[0].id })
})
afterAll(async () => {
  desk.close()
  await server.close()
})

const plain = (width = 60, height = 40) =>
  sharp({ create: { width, height, channels: 3, background: '#b04300' } })

test.each(['jpeg', 'png', 'webp'] as const)(
  'a %s comes out upright as JPEG, without what its camera wrote',
  async (format) => {
    const exif = {
      IFD0: { Orientation: '6', Make: 'Somebody’s camera' },
      IFD2: { DateTimeOriginal: '2026:03:04 05:06:07' },
      IFD3: { GPSLatitude: '10/1 20/1 30/1', GPSLatitudeRef: 'N' },
    }
    const sent = await plain().withExif(exif).withMetadata({ orientation: 6 }).toFormat(format).toBuffer()
    const written = await desk.writeAnew(sent)
    const meta = await sharp(written?.image).metadata()
    expect([meta.format, meta.exif, meta.width, meta.height]).toEqual(['jpeg', undefined, 40, 60])
    expect(written?.image.includes('camera')).toBe(false)
  },
)

test('when it was taken is kept', async () => {
  const sent = await plain()
    .withExif({ IFD2: { DateTimeOriginal: '2026:03:04 05:06:07' } })
    .jpeg()
    .toBuffer()
  expect((await desk.writeAnew(sent))?.takenAt?.toISOString()).toBe('2026-03-04T05:06:07.000Z')
})

test('a picture of too many pixels, a torn one and a text are refused, and the next good one is not', async () => {
  const huge = await plain(9000, 9000).png({ compressionLevel: 9 }).toBuffer()
  const good = await plain().jpeg().toBuffer()
  const torn = good.subarray(0, good.length / 3)
  for (const none of [huge, torn, Buffer.from('<svg onload="alert(1)"/>'), Buffer.alloc(100)])
    expect(await desk.writeAnew(none)).toBeNull()
  expect(await desk.writeAnew(good)).not.toBeNull()
})

test('pictures changed at random are refused or written anew; the report prints and the server lives', async () => {
  const originals = await Promise.all([
    plain().jpeg().toBuffer(),
    plain().png().toBuffer(),
    plain().webp().toBuffer(),
  ])
  let seed = 480
  const next = (below: number): number => {
    seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648
    return seed % below
  }
  const statuses = new Set<number>()
  for (let k = 0; k < 60; k++) {
    const image = Buffer.from(originals[k % originals.length])
    for (let change = 0; change <= next(12); change++) image[next(image.length)] = next(256)
    const answer = await ask.raw('PUT', `/photos/${uuid()}?visit=${visit}`, image, 'image/jpeg')
    statuses.add(answer.status)
  }
  expect([...statuses].every((status) => status === 204 || status === 422)).toBe(true)
  // one from before pictures were written anew, as it was sent
  const broken = Buffer.concat([
    originals[1].subarray(0, 60),
    Buffer.alloc(40, 7),
    originals[1].subarray(100),
  ])
  await server.pool.query(
    `INSERT INTO photos (id, shop_id, visit_id, person_id, type, image)
     SELECT $1, shop_id, id, started_by, 'image/png', $2 FROM visits WHERE id = $3`,
    [uuid(), broken, visit],
  )
  const pdf = await ask.raw('GET', `/visits/${visit}/report.pdf`)
  expect([pdf.status, (await ask('GET', '/health')).status]).toEqual([200, 200])
})
