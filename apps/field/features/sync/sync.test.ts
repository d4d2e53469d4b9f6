import 'fake-indexeddb/auto'
import type { Person } from '@jokulgale/contract/session'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { createAppStore } from '../store'
import { forgetAll } from './device'
import { Sync } from './sync'

const person = (id: string, shop = 'shop'): Person => ({
  id,
  name: id,
  email: `${id}@gannet.example`,
  role: 'technician',
  site: null,
  shop: { id: shop, name: shop },
})

interface Sent {
  readonly method: string
  readonly path: string
  readonly body: unknown
}

/** A server that answers as it is told, and says what it was sent. */
class Server {
  readonly sent: Sent[] = []
  reachable = true
  refuses: (sent: Sent) => string | null = () => null
  /** What goes wrong on the server's own side. */
  isFailing: (sent: Sent) => boolean = () => false
  epoch = 'first'
  signedIn: Person | null = person('nell')

  readonly fetch = (address: string, { method = 'GET', body }: RequestInit = {}): Promise<Response> => {
    if (!this.reachable) return Promise.reject(new TypeError('no signal'))
    const sent = {
      method,
      path: address.replace('/api', ''),
      body: typeof body === 'string' ? JSON.parse(body) : null,
    }
    if (method !== 'GET') this.sent.push(sent)
    if (this.isFailing(sent)) return Promise.resolve(Response.json({ error: 'down' }, { status: 500 }))
    const error = this.refuses(sent)
    if (error !== null) return Promise.resolve(Response.json({ error }, { status: 422 }))
    return Promise.resolve(Response.json(this.answer(sent)))
  }

  private answer({ method, path }: Sent): unknown {
    if (path === '/session') return this.signedIn
    if (path === '/board') return { items: [] }
    if (path === '/places') return { sites: [], units: [], diagrams: [], others: [], epoch: this.epoch }
    return method === 'GET' ? { entries: [], repairs: {} } : {}
  }

  of(path: string): readonly Sent[] {
    return this.sent.filter((sent) => sent.path === path)
  }
}

let server: Server
let sync: Sync
let store: ReturnType<typeof createAppStore>

beforeEach(async () => {
  await forgetAll()
  jest.spyOn(globalThis, 'setInterval').mockReturnValue(0 as unknown as ReturnType<typeof setInterval>)
  window.addEventListener = () => undefined
  server = new Server()
  globalThis.fetch = server.fetch as typeof fetch
  store = createAppStore()
  sync = new Sync(store)
  await sync.open()
})
/** Waits until what was asked meanwhile has been sent too. */
async function quiet(): Promise<void> {
  for (let k = 0; k < 4; k++) {
    await sync.send()
    await new Promise((resolve) => setTimeout(resolve, 4))
  }
}

afterEach(async () => {
  await quiet()
  jest.restoreAllMocks()
})

const ladder = builtInUnitText('fan-coil-cooling')
const site = (name: string) => [{ field: 'name', from: '', to: name }]

test('what is made with no signal is shown at once, and sent when there is one: places, visits, entries in turn', async () => {
  server.reachable = false
  await sync.editPlace('site', 'site-1', site('Gannet Hall'))
  const visit = await sync.startVisit('unit-1')
  await sync.say(visit, { kind: 'arrived' })
  await quiet()
  expect(store.getState().places.places?.sites[0].name).toBe('Gannet Hall')
  server.reachable = true
  await quiet()
  expect(server.sent.map(({ path }) => path)).toEqual(['/place-edits', '/visits', '/entries'])
  await quiet()
  expect(server.sent).toHaveLength(3)
})

test('a place, a visit or an entry that is refused holds back nothing but itself, and says why', async () => {
  server.reachable = false
  await sync.editPlace('site', 'bad', site('Bad'))
  await sync.editPlace('site', 'good', site('Good'))
  const bad = await sync.startVisit('unit-bad')
  await sync.say(bad, { kind: 'arrived' })
  const good = await sync.startVisit('unit-good')
  await sync.say(good, { kind: 'note', words: 'wrong', photos: [] } as never)
  await sync.say(good, { kind: 'arrived' })
  server.refuses = ({ path, body }) =>
    /"bad"|unit-bad|"wrong"/.test(JSON.stringify(body)) ? `no to ${path}` : null
  server.reachable = true
  await quiet()
  const { places, visits } = store.getState()
  expect(places.edits.map(({ sent, refused }) => [sent, refused])).toEqual([
    [false, 'no to /place-edits'],
    [true, undefined],
  ])
  expect([visits.visits[bad].refused, visits.visits[good].sent]).toEqual(['no to /visits', true])
  expect(visits.logs[bad][0]).toMatchObject({ sent: false })
  expect(visits.logs[good].map(({ sent, refused }) => [sent, refused])).toEqual([
    [false, 'no to /entries'],
    [true, undefined],
  ])
  // what was refused is not sent again and again
  const before = server.sent.length
  await quiet()
  expect(server.sent).toHaveLength(before)
})

test('what one person said is never sent in another’s name', async () => {
  server.reachable = false
  const visit = await sync.startVisit('unit-1')
  await sync.say(visit, { kind: 'arrived' })
  await quiet()
  await sync.signOut()
  server.reachable = true
  server.signedIn = person('odd')
  await sync.signIn({ email: 'odd@gannet.example', password: 'x' })
  await quiet()
  expect(server.of('/entries')).toEqual([])
  expect(server.of('/visits')).toEqual([])
  server.signedIn = person('nell')
  await sync.signIn({ email: 'nell@gannet.example', password: 'x' })
  await quiet()
  expect(server.of('/entries')).toHaveLength(1)
})

test('another shop’s sign-in does not throw away what this one has not sent', async () => {
  server.reachable = false
  const visit = await sync.startVisit('unit-1')
  await sync.say(visit, { kind: 'arrived' })
  server.reachable = true
  server.signedIn = person('mara', 'elsewhere')
  server.isFailing = ({ path }) => path === '/visits'
  await sync.signOut()
  await expect(sync.signIn({ email: 'mara@elsewhere.example', password: 'x' })).rejects.toThrow(
    /has not been sent/,
  )
  expect(store.getState().visits.logs[visit]).toHaveLength(1)
})

test('a clock far ahead on another device moves nobody else’s', async () => {
  const far = Date.now() + 86_400_000
  const visit = await sync.startVisit('unit-1')
  const fetched = { id: 'e', visit, by: 'x', sequence: 1, body: { kind: 'arrived' } }
  globalThis.fetch = ((address: string) =>
    Promise.resolve(
      Response.json(
        address.includes('/entries')
          ? { entries: [{ ...fetched, clock: { wall: far, counter: 0, device: 'z' } }] }
          : { id: visit, unit: 'unit-1', diagram: '', startedAt: '', startedBy: '' },
      ),
    )) as typeof fetch
  await quiet()
  await sync.openVisit(visit)
  await sync.say(visit, { kind: 'arrived' })
  const own = store.getState().visits.logs[visit].filter(({ clock }) => clock.device !== 'z')
  expect(own.every(({ clock }) => clock.wall < far)).toBe(true)
})

test('a server that was restored is sent again all that was said here, and only that', async () => {
  const visit = await sync.startVisit('unit-1')
  const said = await sync.say(visit, { kind: 'arrived' })
  await quiet()
  server.sent.splice(0)
  await sync.refresh()
  await quiet()
  expect(server.sent).toEqual([])
  server.epoch = 'second'
  await sync.refresh()
  await quiet()
  expect(server.sent.map(({ path }) => path)).toEqual(['/visits', '/entries'])
  expect(JSON.stringify(server.of('/entries')[0].body)).toContain(said)
  expect(store.getState().visits.logs[visit][0].sent).toBe(true)
})

test('after the application was closed, what was made is sent in the order that it was made in', async () => {
  server.reachable = false
  const made: string[] = []
  for (let k = 0; k < 6; k++) {
    await sync.editPlace('site', `site-${k}`, site(`Site ${k}`))
    made.push(`site-${k}`)
  }
  const circuits = [await sync.makeDiagram(ladder, '')]
  for (let k = 1; k < 5; k++) circuits.push(await sync.makeDiagram(ladder, circuits[k - 1], `Change ${k}`))
  await quiet()
  // the device's store gives them back in the order of their identities
  const after = new Sync(createAppStore())
  await after.open()
  server.reachable = true
  sync = after
  await quiet()
  const bodies = (path: string) => server.of(path).map(({ body }) => body)
  expect(
    bodies('/place-edits').map((body) => (body as { edits: readonly { place: string }[] }).edits[0].place),
  ).toEqual(made)
  expect(bodies('/diagrams')).toEqual(
    circuits.map((id, k) => ({
      id,
      ladder,
      follows: circuits[k - 1] ?? '',
      why: k === 0 ? '' : `Change ${k}`,
    })),
  )
})

test('a device that can keep no more says so, shows nothing that it has not kept, and goes on when it can', async () => {
  const visit = await sync.startVisit('unit')
  await quiet()
  const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('no room', 'QuotaExceededError')
  })
  await expect(sync.say(visit, { kind: 'note', words: 'not kept' })).rejects.toThrow()
  await expect(sync.takePhoto(visit, new Blob(['x']), { of: 'CC1' })).rejects.toThrow()
  expect(store.getState().visits.cannotKeep).toMatch(/can keep no more/)
  expect(store.getState().visits.logs[visit] ?? []).toEqual([])
  full.mockRestore()
  await sync.say(visit, { kind: 'note', words: 'kept' })
  await quiet()
  expect(store.getState().visits.cannotKeep).toBe('')
  expect(JSON.stringify(server.of('/entries'))).toMatch(/kept/)
  expect(JSON.stringify(server.of('/entries'))).not.toMatch(/not kept/)
})
