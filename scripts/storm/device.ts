// A device in a storm: the application's own store, log and sending, on an IndexedDB in memory. It says
// its share on visits of its own and on one that all devices share, follows what the others say there,
// corrects itself, and takes pictures.
import 'fake-indexeddb/auto'
import { writeFileSync } from 'node:fs'
import type { EntryBody } from '../../packages/core/visit/entry'
import { createAppStore } from '../../apps/field/features/store'
import { readLog } from '../../apps/field/features/sync/device'
import { Sync } from '../../apps/field/features/sync/sync'

const [origin = '', email = '', count = '500', seed = '480', report = ''] = process.argv.slice(2)
const signIn = { email, password: 'north-stairs-480' }
/** Shares of what is said. */
const shares = { picture: 0.02, correction: 0.05, onShared: 0.4, tabKilled: 0.006, follows: 0.05 }
/** A picture of one point. */
const png = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

let state = Number(seed) + 1
const random = (): number => {
  state = (state * 1664525 + 1013904223) >>> 0
  return state / 4294967296
}
const pause = (ms: number): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve, ms)
  })

let cookie = ''
const bare = globalThis.fetch
globalThis.fetch = async (input, init) => {
  const answer = await bare(`${origin}${String(input)}`, {
    ...init,
    headers: { ...(init?.headers as Record<string, string> | undefined), ...(cookie ? { cookie } : {}) },
  })
  cookie = answer.headers.get('set-cookie')?.split(';')[0] ?? cookie
  return answer
}
Object.assign(globalThis, { window: Object.assign(new EventTarget(), { location: { origin } }) })

const patiently = async (work: () => Promise<unknown>): Promise<void> => {
  for (;;) {
    try {
      await work()
      return
    } catch {
      await pause(150)
    }
  }
}

/** The tab is opened: everything that is known comes from the device. */
async function openTab(): Promise<{
  readonly sync: Sync
  readonly store: ReturnType<typeof createAppStore>
}> {
  const store = createAppStore()
  const sync = new Sync(store)
  await sync.open()
  return { sync, store }
}

/**
 * What the others say to this device: which visit all share, that its line is down, that the weather is
 * calm.
 */
let shared = ''
let lineWentDown = false
let isCalm = false
process.on('message', (message: { readonly shared?: string; readonly down?: true; readonly calm?: true }) => {
  shared = message.shared ?? shared
  lineWentDown ||= message.down === true
  isCalm ||= message.calm === true
})
const tell = (message: object): void => {
  process.send?.(message)
}

async function main(): Promise<void> {
  let { sync, store } = await openTab()
  await patiently(() => sync.signIn(signIn))
  await patiently(async () => {
    await sync.refresh()
    if (!store.getState().places.places?.units.length) throw new Error('no units yet')
  })
  const unit = (): string => {
    // all that is said fits one kind of unit
    const all = store.getState().places.places?.units ?? []
    const units = all.filter(({ diagram }) => diagram === 'rooftop-two-stage')
    return units[Math.floor(random() * units.length)].id
  }
  const visits = [await sync.startVisit(unit())]
  // the server knows it before another device speaks of it
  while (!store.getState().visits.visits[visits[0]].sent) {
    await sync.send()
    await pause(100)
  }
  tell({ started: visits[0] })
  while (shared === '') await pause(50)
  const said: string[] = []
  const pictures: string[] = []
  const tally = { restarts: 0, begunOffline: 0, corrections: 0 }
  const say = async (visit: string, body: EntryBody): Promise<void> => {
    said.push(await sync.say(visit, body))
  }
  while (said.length < Number(count)) {
    if (lineWentDown) {
      lineWentDown = false
      visits.push(await sync.startVisit(unit()))
      tally.begunOffline += 1
    }
    const visit = random() < shares.onShared ? shared : visits[visits.length - 1]
    if (random() < shares.picture) {
      const entry = await sync.takePhoto(visit, new Blob([png], { type: 'image/png' }), { of: 'CC1' })
      said.push(entry)
      const body = store.getState().visits.logs[visit].find(({ id }) => id === entry)?.body
      if (body?.kind === 'photo') pictures.push(body.photo)
    } else if (random() < shares.correction) {
      const own = (store.getState().visits.logs[visit] ?? []).filter(({ id }) => said.includes(id))
      if (own.length > 0) {
        await say(visit, { kind: 'retracted', entry: own[own.length - 1].id })
        tally.corrections += 1
      }
    } else
      await say(visit, { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: said.length / 10 })
    if (random() < shares.follows) await sync.openVisit(shared)
    if (random() < shares.tabKilled) {
      // the tab is killed between any two steps and opened again
      tally.restarts += 1
      ;({ sync, store } = await openTab())
    }
    if (random() < 0.5) await pause(random() * 200)
  }
  tell({ said: true })
  while (!isCalm) await pause(100)
  const isUnsent = (): boolean => {
    const { logs, visits: all } = store.getState().visits
    return [...Object.values(logs).flat(), ...Object.values(all)].some(({ sent }) => !sent)
  }
  for (let tries = 0; isUnsent() && tries < 400; tries++) {
    if (store.getState().session.is !== 'in') await patiently(() => sync.signIn(signIn))
    await sync.send()
    await pause(100)
  }
  tell({ sent: true })
  // once all have sent, everybody reads what they have not seen
  await new Promise<void>((resolve) => {
    process.once('message', () => {
      resolve()
    })
  })
  await patiently(() => sync.openVisit(shared))
  const log = await readLog()
  writeFileSync(
    report,
    JSON.stringify({
      ...tally,
      said,
      pictures,
      // why something of this device was refused, for whoever mends it
      refusals: [...new Set(log.flatMap(({ refused }) => (refused === undefined ? [] : [refused])))].slice(
        0,
        5,
      ),
      shared: log.filter(({ visit }) => visit === shared).map(({ id }) => id),
      unsent: log.filter(({ id, sent, refused }) => said.includes(id) && (!sent || refused !== undefined))
        .length,
    }),
  )
  process.exit(0)
}

void main()
