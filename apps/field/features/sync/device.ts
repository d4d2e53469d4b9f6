import { clear, createStore, del, delMany, entries, get, keys, set, setMany, type UseStore } from 'idb-keyval'
import type { Answers } from '@jokulgale/core/bench/lists/checkList'
import type { DisplayUnits } from '@jokulgale/core/physics/displayUnits'
import type { Board, Places } from '@jokulgale/contract/places'
import type { UnitPanel } from '@jokulgale/contract/records'
import type { Experience } from '@jokulgale/core/diagnosis/priors'
import type { Person } from '@jokulgale/contract/session'
import type { Visit } from '@jokulgale/contract/visit'
import type { PlaceEdit } from '@jokulgale/core/places/placeEdit'
import type { NewDiagram } from '@jokulgale/contract/placeEdits'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { Entry } from '@jokulgale/core/visit/log'

/** What this device says of something that goes to the server. */
interface Sendable {
  /** The server has it. */
  readonly sent: boolean
  /** Why the server will not take it: it holds back nothing else, and is tried again by a newer program. */
  readonly refused?: string
}

/** A visit as this device keeps it. */
export interface KeptVisit extends Visit, Sendable {
  /** The last place of the server's sequence that was seen. */
  readonly seen: number
}

export interface KeptEntry extends Entry, Sendable {}

/** A change to a site or unit made here, and by whom. */
export interface KeptPlaceEdit extends PlaceEdit, Sendable {
  readonly by: string
}

/** A circuit made here, and by whom. */
export interface KeptDiagram extends NewDiagram, Sendable {
  readonly by: string
}

const facts = createStore('jokulgale', 'facts')
const visits = createStore('jokulgale-visits', 'visits')
const log = createStore('jokulgale-log', 'log')
const photos = createStore('jokulgale-photos', 'photos')
const placeEdits = createStore('jokulgale-places', 'edits')
const diagrams = createStore('jokulgale-diagrams', 'diagrams')

/** A picture that has not reached the server yet, or one taken here. */
export interface KeptPhoto extends Sendable {
  readonly id: string
  readonly visit: string
  readonly image: Blob
  /** Who took it; those from before it was kept have none. */
  readonly by?: string
}

/** Somebody who signed out here with work unsent, and what lets this device send it. */
export interface Left {
  readonly person: string
  readonly token: string
}

/** A unit proven dead for a planned change: when, in milliseconds since 1970, and what was put down of it. */
export interface PlanIsolated {
  readonly at: number
  readonly entries: readonly EntryBody[]
}

interface Facts {
  experience: Experience
  /** The program that was here last: what it was refused is tried again by another. */
  program: string
  person: Person
  /** What lets this device send in that person's name, and nothing else, once they have signed out. */
  sending: string
  left: readonly Left[]
  /** Whoever was here has signed out, and the server has not heard of it. */
  signedOut: true
  /** Which life of the server's database was last heard from. */
  epoch: string
  /** Whose work is on this device, signed in or not. */
  shop: string
  places: Places
  board: Board
  device: string
  /** Lists of the bench that somebody has begun on a visit, by visit, list and part. */
  lists: Readonly<Record<string, Answers>>
  /** Units proven dead for a planned change, by plan. */
  isolations: Readonly<Record<string, PlanIsolated>>
  /** Where test points are, of units whose visits were opened here, by unit. */
  panels: Readonly<Record<string, UnitPanel>>
  /** What temperatures and pressures are shown in. */
  units: DisplayUnits
}

export const readPhoto = (id: string): Promise<KeptPhoto | undefined> => get(id, photos)
export const writePhoto = (photo: KeptPhoto): Promise<void> => set(photo.id, photo, photos)
export const unsentPhotos = async (): Promise<readonly KeptPhoto[]> =>
  (await entries<string, KeptPhoto>(photos))
    .map(([, photo]) => photo)
    .filter(({ sent, refused }) => !sent && refused === undefined)

/** Pictures taken here go to the server once more. */
export async function unsendPhotos(): Promise<void> {
  for (const [, photo] of await entries<string, KeptPhoto>(photos))
    await writePhoto({ ...photo, sent: false })
}

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

export const readPlaceEdits = async (): Promise<readonly KeptPlaceEdit[]> =>
  (await entries<string, KeptPlaceEdit>(placeEdits)).map(([, edit]) => edit)
export const writePlaceEdit = (edit: KeptPlaceEdit): Promise<void> => set(edit.id, edit, placeEdits)
export const dropPlaceEdit = (id: string): Promise<void> => del(id, placeEdits)

export const readDiagrams = async (): Promise<readonly KeptDiagram[]> =>
  (await entries<string, KeptDiagram>(diagrams)).map(([, diagram]) => diagram)
export const writeDiagram = (diagram: KeptDiagram): Promise<void> => set(diagram.id, diagram, diagrams)
export const dropDiagram = (id: string): Promise<void> => del(id, diagrams)

/** What stays when somebody signs out. */
interface Unsent {
  readonly visits: readonly KeptVisit[]
  readonly entries: readonly KeptEntry[]
  readonly edits: readonly KeptPlaceEdit[]
  readonly made: readonly KeptDiagram[]
}

/** Forgets what the server has: places, board, lists, and of the rest all but these and unsent pictures. */
export async function keepOnly(kept: Unsent): Promise<void> {
  const pictures = (await entries<string, KeptPhoto>(photos)).filter(([, { sent }]) => !sent)
  const only = async (store: UseStore, these: readonly { readonly id: string }[]): Promise<void> => {
    const ids = new Set<IDBValidKey>(these.map(({ id }) => id))
    await delMany(
      (await keys(store)).filter((key) => !ids.has(key)),
      store,
    )
  }
  await Promise.all([
    only(visits, kept.visits),
    only(log, kept.entries),
    only(placeEdits, kept.edits),
    only(diagrams, kept.made),
    only(
      photos,
      pictures.map(([id]) => ({ id })),
    ),
    ...(['places', 'board', 'experience', 'lists', 'isolations', 'panels', 'epoch'] as const).map(dropFact),
  ])
  const isEmpty = [kept.visits, kept.entries, kept.edits, kept.made, pictures].every(
    (list) => list.length === 0,
  )
  if (isEmpty) await dropFact('shop')
}

/** Forgets everything but the device's own name; for another person signing in here. */
export async function forgetAll(): Promise<void> {
  const device = await readFact('device')
  await Promise.all([facts, visits, log, photos, placeEdits, diagrams].map((store) => clear(store)))
  if (device) await writeFact('device', device)
}
