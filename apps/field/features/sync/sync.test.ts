import 'fake-indexeddb/auto'
import type { Person } from '@jokulgale/contract/session'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { createAppStore } from '../store'
import { forgetAll, readLog, readVisits, unsentPhotos } from './device'
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
  /** The credential that it came with; null: the session's cookie, if any. */
  readonly token: string | null
}

/** A server that answers as it is told, and says what it was sent. */
class Server {
  readonly sent: Sent[] = []
  reachable = true
  refuses: (sent: Sent) => string | null = () => null
  /** What goes wrong on the server's own side. */
  isFailing: (sent: Sent) => boolean = () => false
  status = 500
  epoch = 'first'
  signedIn: Person | null = person('nell')
  /** The cookie that the browser keeps is good. */
  hasSession = true

  readonly fetch = (
    address: string,
    { method = 'GET', body, headers }: RequestInit = {},
  ): Promise<Response> => {
    if (!this.reachable) return Promise.reject(new TypeError('no signal'))
    const sent = {
      method,
      path: address.replace('/api', ''),
      body: typeof body === 'string' ? JSON.parse(body) : null,
      token: new Headers(headers).get('authorization')?.replace('Bearer ', '') ?? null,
    }
    if (method !== 'GET') this.sent.push(sent)
    if (this.isFailing(sent))
      return Promise.resolve(Response.json({ error: 'down' }, { status: this.status }))
    const error = this.refuses(sent)
    if (error !== null) return Promise.resolve(Response.json({ error }, { status: 422 }))
    return Promise.resolve(Response.json(this.answer(sent)))
  }

  private answer({ method, path }: Sent): unknown {
    if (path === '/session') {
      this.hasSession = method === 'POST' || (method === 'GET' && this.hasSession)
      return this.hasSession ? this.signedIn : null
    }
    if (path === '/send-credential') return { token: `for ${this.signedIn?.id}` }
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
  const made = server.sent.map(({ path }) => path).filter((path) => path !== '/send-credential')
  expect(made).toEqual(['/place-edits', '/visits', '/entries'])
  const before = server.sent.length
  await quiet()
  expect(server.sent).toHaveLength(before)
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

test('signed out with no signal, nobody is in; what was unsent goes in its own name, and then nothing is left', async () => {
  await sync.signIn({ email: 'nell@gannet.example', password: 'x' })
  const sent = await sync.startVisit('unit-0')
  await quiet()
  server.reachable = false
  const visit = await sync.startVisit('unit-1')
  await sync.say(visit, { kind: 'arrived' })
  await sync.takePhoto(visit, new Blob(['x']), { of: 'CC1' })
  await quiet()
  await sync.signOut()
  expect(store.getState().session.is).toBe('out')
  expect(store.getState().places.places).toBeNull()
  expect(Object.keys(store.getState().visits.visits)).toEqual([visit])
  expect((await readVisits()).map(({ id }) => id)).not.toContain(sent)
  // opened anew with a signal, and the server's cookie still good: nobody is let in by it
  server.reachable = true
  const [after, empty] = [createAppStore(), server.sent.length]
  sync = new Sync(after)
  await sync.open()
  expect(after.getState().session.is).toBe('out')
  expect(server.sent.slice(empty)[0]).toMatchObject({ method: 'DELETE', path: '/session' })
  await quiet()
  expect(server.of('/entries')).toMatchObject([{ token: 'for nell' }])
  expect(server.sent.filter(({ path }) => path.startsWith('/photos/'))).toMatchObject([{ token: 'for nell' }])
  expect(server.sent.at(-1)).toMatchObject({ method: 'DELETE', path: '/send-credential', token: 'for nell' })
  expect([await readVisits(), await readLog(), await unsentPhotos()]).toEqual([[], [], []])
})

/** Nell takes a call with no signal and signs out; with one, Odd signs in on the same device. */
async function handedOver(): Promise<void> {
  await sync.signIn({ email: 'nell@gannet.example', password: 'x' })
  server.reachable = false
  const visit = await sync.startVisit('unit-1')
  await sync.say(visit, { kind: 'arrived' })
  await quiet()
  await sync.signOut()
  server.reachable = true
  server.signedIn = person('odd')
  await sync.signIn({ email: 'odd@gannet.example', password: 'x' })
  await quiet()
}

test('what one person said is sent in no other’s name, whoever is signed in', async () => {
  await handedOver()
  for (const path of ['/visits', '/entries']) expect(server.of(path)).toMatchObject([{ token: 'for nell' }])
})

test('with nothing to send by, work waits for its person', async () => {
  server.isFailing = ({ path }) => path === '/send-credential'
  await handedOver()
  expect([server.of('/entries'), server.of('/visits')]).toEqual([[], []])
  server.signedIn = person('nell')
  await sync.signIn({ email: 'nell@gannet.example', password: 'x' })
  await quiet()
  expect(server.of('/entries')).toMatchObject([{ token: null }])
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

test('a server with no room says so, is sent all when it has, and nothing counts as refused', async () => {
  server.status = 507
  server.isFailing = ({ path }) => path === '/entries'
  const visit = await sync.startVisit('unit-1')
  await sync.say(visit, { kind: 'arrived' })
  await quiet()
  const { serverTrouble, logs } = store.getState().visits
  expect([serverTrouble, logs[visit][0].refused, logs[visit][0].sent]).toEqual(['down', undefined, false])
  server.isFailing = () => false
  await quiet()
  expect(store.getState().visits).toMatchObject({ serverTrouble: '', logs: { [visit]: [{ sent: true }] } })
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
