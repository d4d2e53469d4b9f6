// A device in a storm: the application's own store, log and sending, on an IndexedDB in memory.
import 'fake-indexeddb/auto'
import { mkdirSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { createAppStore } from '../../apps/field/features/store'
import { readLog } from '../../apps/field/features/sync/device'
import { Sync } from '../../apps/field/features/sync/sync'

const [origin = '', count = '2000', seed = '480', report = ''] = process.argv.slice(2)
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

const patiently = async (work: () => Promise<void>): Promise<void> => {
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

const unit = async (): Promise<string> => {
  let found = ''
  await patiently(async () => {
    const { units } = (await (await fetch('/api/places')).json()) as {
      units: readonly { id: string; diagram: string }[]
    }
    found = units.find(({ diagram }) => diagram === 'rooftop-two-stage')?.id ?? ''
    if (found === '') throw new Error('no units yet')
  })
  return found
}

async function main(): Promise<void> {
  let { sync, store } = await openTab()
  await patiently(() => sync.signIn({ email: 'ines@skerry.example', password: 'north-stairs-480' }))
  const visit = await sync.startVisit(await unit())
  const said: string[] = []
  let restarts = 0
  while (said.length < Number(count)) {
    said.push(
      await sync.say(visit, {
        kind: 'reading',
        meter: 'volts',
        from: 'TB.R',
        to: 'TB.C',
        value: said.length / 10,
      }),
    )
    if (random() < 0.004) {
      // the tab is killed between any two steps and opened again
      restarts += 1
      ;({ sync, store } = await openTab())
    }
    if (random() < 0.5) await pause(random() * 70)
  }
  process.send?.('said')
  const unsent = (): number =>
    Object.values(store.getState().visits.logs)
      .flat()
      .filter(({ sent }) => !sent).length
  for (let tries = 0; unsent() > 0 && tries < 400; tries++) {
    if (store.getState().session.is !== 'in')
      await patiently(() => sync.signIn({ email: 'ines@skerry.example', password: 'north-stairs-480' }))
    await sync.send()
    await pause(100)
  }
  const kept = (await readLog()).filter((entry) => entry.visit === visit)
  let server: readonly string[] = []
  await patiently(async () => {
    const { entries } = (await (await fetch(`/api/visits/${visit}/entries?after=0`)).json()) as {
      entries: readonly { id: string }[]
    }
    server = entries.map(({ id }) => id)
  })
  const wrong = said.filter(
    (id) =>
      kept.filter((entry) => entry.id === id && entry.sent && entry.refused === undefined).length !== 1 ||
      server.filter((other) => other === id).length !== 1,
  ).length
  mkdirSync(path.dirname(report), { recursive: true })
  writeFileSync(report, JSON.stringify({ onDevice: kept.length, onServer: server.length, wrong, restarts }))
  process.exit(wrong === 0 && kept.length === said.length && server.length === said.length ? 0 : 1)
}

void main()
