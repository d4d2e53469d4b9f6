import { clear, createStore, del, entries, get, set, setMany } from 'idb-keyval'
import type { Board, Places } from '@jokulgale/contract/places'
import type { Experience } from '@jokulgale/core/diagnosis/priors'
import type { Person } from '@jokulgale/contract/session'
import type { Visit } from '@jokulgale/contract/visit'
import type { Entry } from '@jokulgale/core/visit/log'

/** A visit as this device keeps it. */
export interface KeptVisit extends Visit {
  /** The server has it. */
  readonly sent: boolean
  /** The last place of the server's sequence that was seen. */
  readonly seen: number
}

export interface KeptEntry extends Entry {
  readonly sent: boolean
  /** Why the server will not take it. */
  readonly refused?: string
}

const facts = createStore('jokulgale', 'facts')
const visits = createStore('jokulgale-visits', 'visits')
const log = createStore('jokulgale-log', 'log')
const photos = createStore('jokulgale-photos', 'photos')

/** A picture that has not reached the server yet, or one taken here. */
export interface KeptPhoto {
  readonly id: string
  readonly visit: string
  readonly image: Blob
  readonly sent: boolean
}

interface Facts {
  experience: Experience

  person: Person
  places: Places
  board: Board
  device: string
}

export const readPhoto = (id: string): Promise<KeptPhoto | undefined> => get(id, photos)
export const writePhoto = (photo: KeptPhoto): Promise<void> => set(photo.id, photo, photos)
export const unsentPhotos = async (): Promise<readonly KeptPhoto[]> =>
  (await entries<string, KeptPhoto>(photos)).map(([, photo]) => photo).filter(({ sent }) => !sent)

export const readFact = <K extends keyof Facts>(name: K): Promise<Facts[K] | undefined> => get(name, facts)
export const writeFact = <K extends keyof Facts>(name: K, value: Facts[K]): Promise<void> =>
  set(name, value, facts)
export const dropFact = (name: keyof Facts): Promise<void> => del(name, facts)

export const readVisits = async (): Promise<readonly KeptVisit[]> =>
  (await entries<string, KeptVisit>(visits)).map(([, visit]) => visit)
export const writeVisit = (visit: KeptVisit): Promise<void> => set(visit.id, visit, visits)

export const readLog = async (): Promise<readonly KeptEntry[]> =>
  (await entries<string, KeptEntry>(log)).map(([, entry]) => entry)
/** Keeps entries under their own identity: written once or many times, each is there once. */
export const writeEntries = (kept: readonly KeptEntry[]): Promise<void> =>
  setMany(
    kept.map((entry) => [entry.id, entry]),
    log,
  )

/** Forgets everything but the device's own name; for another person signing in here. */
export async function forgetAll(): Promise<void> {
  const device = await readFact('device')
  await Promise.all([clear(facts), clear(visits), clear(log), clear(photos)])
  if (device) await writeFact('device', device)
}
