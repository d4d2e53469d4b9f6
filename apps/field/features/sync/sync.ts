import type { Board, Places } from '@jokulgale/contract/places'
import type { Experience } from '@jokulgale/core/diagnosis/priors'
import type { Person, SignIn } from '@jokulgale/contract/session'
import type { StoredEntry, Visit } from '@jokulgale/contract/visit'
import { tick, witness, type Clock } from '@jokulgale/core/visit/clock'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import { boardKnown, experienceKnown, placesForgotten, placesKnown } from '../places/placesSlice'
import { signedIn, signedOut } from '../session/sessionSlice'
import type { AppStore } from '../store'
import { entriesKept, reachable, visitKept, visitsForgotten } from '../visit/visitsSlice'
import {
  dropFact,
  forgetAll,
  readFact,
  readLog,
  readVisits,
  unsentPhotos,
  writeEntries,
  writeFact,
  writePhoto,
  writeVisit,
  type KeptEntry,
  type KeptPhoto,
} from './device'
import { newId } from './newId'
import { NoAnswer, Refused, request, sendPicture } from './request'

const batch = 200
const retryMs = 15_000

/**
 * The device's side of the house: what is said is kept here first, then sent when it can be, as often as it
 * takes;
 * what others said is fetched and merged.
 */
export class Sync {
  private clock: Clock = { wall: 0, counter: 0, device: 'unnamed' }
  private sending: Promise<void> | null = null
  private again = false

  constructor(private readonly store: AppStore) {}

  /** Shows what the device has, then what the server has. */
  async open(): Promise<void> {
    const device = (await readFact('device')) ?? newId()
    await writeFact('device', device)
    this.clock = { wall: 0, counter: 0, device }
    const { dispatch } = this.store
    const [person, places, board, experience, visits, log] = await Promise.all([
      readFact('person'),
      readFact('places'),
      readFact('board'),
      readFact('experience'),
      readVisits(),
      readLog(),
    ])
    if (experience) dispatch(experienceKnown(experience))
    for (const visit of visits) dispatch(visitKept(visit))
    for (const entry of log) this.clock = witness(this.clock, entry.clock)
    dispatch(entriesKept(log))
    if (places) dispatch(placesKnown(places))
    if (board) dispatch(boardKnown(board))
    if (person) dispatch(signedIn(person))
    window.addEventListener('online', () => {
      void this.send()
    })
    setInterval(() => {
      if (this.unsent().length > 0) void this.send()
    }, retryMs)
    await this.attempt(async () => {
      const now = await request<Person | null>('GET', '/session')
      if (now) {
        await writeFact('person', now)
        dispatch(signedIn(now))
      } else {
        await dropFact('person')
        dispatch(signedOut())
      }
    })
    if (this.store.getState().session.is === 'unknown') dispatch(signedOut())
    if (this.store.getState().session.is === 'in') await this.refresh()
  }

  /** Throws Refused or NoAnswer. */
  async signIn(given: SignIn): Promise<void> {
    const person = await request<Person>('POST', '/session', given)
    const before = await readFact('person')
    if (before && before.shop.id !== person.shop.id) {
      await forgetAll()
      this.store.dispatch(visitsForgotten())
      this.store.dispatch(placesForgotten())
    }
    await writeFact('person', person)
    this.store.dispatch(signedIn(person))
    await this.refresh()
  }

  async signOut(): Promise<void> {
    await this.attempt(() => request('DELETE', '/session'))
    await dropFact('person')
    this.store.dispatch(signedOut())
  }

  /** Sends what is unsent, then fetches the board and the places. */
  async refresh(): Promise<void> {
    await this.send()
    await this.attempt(async () => {
      const [board, places, experience] = await Promise.all([
        request<Board>('GET', '/board'),
        request<Places>('GET', '/places'),
        request<Experience>('GET', '/experience'),
      ])
      await Promise.all([
        writeFact('board', board),
        writeFact('places', places),
        writeFact('experience', experience),
      ])
      this.store.dispatch(experienceKnown(experience))
      this.store.dispatch(placesKnown(places))
      this.store.dispatch(boardKnown(board))
    })
  }

  /** Starts a visit on this device; the server hears of it when it can. */
  async startVisit(unit: string): Promise<string> {
    const { session } = this.store.getState()
    const visit = {
      id: newId(),
      unit,
      startedAt: new Date().toISOString(),
      startedBy: session.is === 'in' ? session.person.id : '',
      sent: false,
      seen: 0,
    }
    await writeVisit(visit)
    this.store.dispatch(visitKept(visit))
    void this.send()
    return visit.id
  }

  /** Fetches a visit's record and what its log has gained. */
  async openVisit(id: string): Promise<void> {
    await this.attempt(async () => {
      const kept = this.store.getState().visits.visits[id]
      if (kept && !kept.sent) return
      const visit = kept ?? { ...(await request<Visit>('GET', `/visits/${id}`)), sent: true, seen: 0 }
      const { entries } = await request<{ entries: readonly StoredEntry[] }>(
        'GET',
        `/visits/${id}/entries?after=${visit.seen}`,
      )
      const seen = entries.reduce((most, { sequence }) => Math.max(most, sequence), visit.seen)
      const fetched = entries.map(({ sequence: _, ...entry }): KeptEntry => ({ ...entry, sent: true }))
      for (const { clock } of fetched) this.clock = witness(this.clock, clock)
      await writeEntries(fetched)
      this.store.dispatch(entriesKept(fetched))
      await writeVisit({ ...visit, seen })
      this.store.dispatch(visitKept({ ...visit, seen }))
    })
  }

  /**
   * Keeps an entry on the device, shows it, and sends it when it can. Gives its identity; `kept` may change
   * in the same moment what else is shown.
   */
  async say(visit: string, body: EntryBody, kept?: (entry: string) => void): Promise<string> {
    const { session } = this.store.getState()
    this.clock = tick(this.clock, Date.now())
    const entry: KeptEntry = {
      id: newId(),
      visit,
      clock: this.clock,
      by: session.is === 'in' ? session.person.id : '',
      body,
      sent: false,
    }
    await writeEntries([entry])
    kept?.(entry.id)
    this.store.dispatch(entriesKept([entry]))
    void this.send()
    return entry.id
  }

  /** Keeps a picture on the device, and says in the log what it shows. Gives the identity of the entry. */
  async takePhoto(visit: string, image: Blob, of: string, words = ''): Promise<string> {
    const id = newId()
    await writePhoto({ id, visit, image, sent: false })
    return this.say(visit, { kind: 'photo', photo: id, of, words })
  }

  private unsent(): readonly KeptEntry[] {
    return Object.values(this.store.getState().visits.logs)
      .flat()
      .filter(({ sent, refused }) => !sent && refused === undefined)
  }

  /** One sending at a time; what is said meanwhile goes with the next. */
  send(): Promise<void> {
    if (this.sending) {
      this.again = true
      return this.sending
    }
    this.sending = this.attempt(() => this.sendAll()).finally(() => {
      this.sending = null
      if (this.again) {
        this.again = false
        void this.send()
      }
    })
    return this.sending
  }

  private async sendAll(): Promise<void> {
    for (const visit of Object.values(this.store.getState().visits.visits)) {
      if (visit.sent) continue
      await request('POST', '/visits', { id: visit.id, unit: visit.unit })
      await writeVisit({ ...visit, sent: true })
      this.store.dispatch(visitKept({ ...visit, sent: true }))
    }
    for (const photo of await unsentPhotos()) await this.sendPhoto(photo)
    for (let waiting = this.unsent(); waiting.length > 0; waiting = this.unsent())
      await this.sendBatch(waiting.slice(0, batch))
    this.store.dispatch(reachable(true))
  }

  private async sendPhoto(photo: KeptPhoto): Promise<void> {
    try {
      await sendPicture(`/photos/${photo.id}?visit=${photo.visit}`, photo.image)
    } catch (error) {
      // a picture that the server will never take stays on the device and holds back nothing
      if (!(error instanceof Refused) || error.status === 401 || error.status === 429 || error.status >= 500)
        throw error
    }
    await writePhoto({ ...photo, sent: true })
  }

  private async sendBatch(entries: readonly KeptEntry[]): Promise<void> {
    try {
      await request('POST', '/entries', {
        entries: entries.map(({ id, visit, clock, body }) => ({ id, visit, clock, body })),
      })
      await this.keep(entries.map((entry) => ({ ...entry, sent: true })))
    } catch (error) {
      if (!(error instanceof Refused) || error.status === 401 || error.status === 429 || error.status >= 500)
        throw error
      // one entry that the server will never take must not hold back the others
      if (entries.length > 1) for (const entry of entries) await this.sendBatch([entry])
      else await this.keep(entries.map((entry) => ({ ...entry, refused: error.message })))
    }
  }

  private async keep(entries: readonly KeptEntry[]): Promise<void> {
    await writeEntries(entries)
    this.store.dispatch(entriesKept(entries))
  }

  /**
   * Does something with the server; no answer is no error, being signed out there is being signed out here.
   */
  private async attempt(work: () => Promise<unknown>): Promise<void> {
    try {
      await work()
      this.store.dispatch(reachable(true))
    } catch (error) {
      if (error instanceof NoAnswer) this.store.dispatch(reachable(false))
      else if (error instanceof Refused && error.status === 401) {
        await dropFact('person')
        this.store.dispatch(signedOut())
      } else if (!(error instanceof Refused)) throw error
    }
  }
}
