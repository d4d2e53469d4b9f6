import type { LinkUse, NewShop } from '@jokulgale/contract/people'
import { mostEdits } from '@jokulgale/contract/placeEdits'
import type { Board, DiagramRecord, Places } from '@jokulgale/contract/places'
import type { Experience } from '@jokulgale/core/diagnosis/priors'
import type { Credentials, Person, SendCredential } from '@jokulgale/contract/session'
import type { StoredEntry, Visit } from '@jokulgale/contract/visit'
import { tick, witness, type Clock } from '@jokulgale/core/visit/clock'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { FieldChange, PlaceKind } from '@jokulgale/core/places/placeEdit'
import type { PlaceChange } from '../places/editsOfList'
import {
  boardKnown,
  diagramFetched,
  diagramMade,
  experienceKnown,
  placeEdited,
  placesForgotten,
  placesKnown,
  placesTaken,
} from '../places/placesSlice'
import { signedIn, signedOut } from '../session/sessionSlice'
import type { PhotoOf } from './photoOf'
import type { AppStore } from '../store'
import { entriesKept, reachable, serverTroubled, visitKept, visitsForgotten } from '../visit/visitsSlice'
import {
  dropDiagram,
  dropFact,
  dropPlaceEdit,
  forgetAll,
  keepOnly,
  readDiagrams,
  readFact,
  readLog,
  readPlaceEdits,
  readVisits,
  unsendPhotos,
  writeDiagram,
  writeEntries,
  writeFact,
  writePhoto,
  writePlaceEdit,
  writeVisit,
  type KeptDiagram,
  type KeptEntry,
  type KeptPlaceEdit,
} from './device'
import { keepingAloud } from './keepAloud'
import { newId } from './newId'
import { programNow } from './program'
import { Outbox } from './outbox'
import { NoAnswer, Refused, request } from './request'

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
  private readonly outbox: Outbox

  constructor(
    private readonly store: AppStore,
    private readonly aloud = keepingAloud(store),
  ) {
    this.outbox = new Outbox(store)
  }

  /** Shows what the device has, then what the server has. */
  async open(): Promise<void> {
    const device = (await readFact('device')) ?? newId()
    await writeFact('device', device)
    this.clock = { wall: 0, counter: 0, device }
    const { dispatch } = this.store
    const tryAgain = (await readFact('program')) !== programNow()
    await writeFact('program', programNow())
    const again = <T extends { readonly refused?: string }>(kept: readonly T[]): readonly T[] =>
      tryAgain ? kept.map(({ refused: _, ...rest }) => rest as T) : kept
    const [person, places, board, experience, visits, log, edits, made] = await Promise.all([
      readFact('person'),
      readFact('places'),
      readFact('board'),
      readFact('experience'),
      readVisits(),
      readLog(),
      readPlaceEdits(),
      readDiagrams(),
    ])
    if (experience) dispatch(experienceKnown(experience))
    for (const visit of again(visits)) dispatch(visitKept(visit))
    for (const { clock } of [...log, ...edits]) this.clock = witness(this.clock, clock, Date.now())
    dispatch(entriesKept(again(log)))
    if (places) dispatch(placesKnown(places))
    for (const diagram of again(made)) dispatch(diagramMade(diagram))
    for (const edit of again(edits)) dispatch(placeEdited(edit))
    if (board) dispatch(boardKnown(board))
    if (person) {
      await writeFact('shop', person.shop.id)
      dispatch(signedIn(person))
    }
    // nobody is kept here: the door need not wait for the server to say so
    else dispatch(signedOut())
    window.addEventListener('online', () => {
      void this.endLeftSession().then(() => this.send())
    })
    setInterval(() => {
      void this.outbox.hasUnsent().then((is) => (is ? this.send() : undefined))
    }, retryMs)
    await this.endLeftSession()
    // a session that could not be ended lets nobody in again
    if (!(await readFact('signedOut'))) await this.findWhoIsIn()
    if (this.store.getState().session.is === 'unknown') dispatch(signedOut())
    if (this.store.getState().session.is === 'in') await this.refresh()
    else await this.send()
  }

  /** Who is signed in, as the server has it; what the device has stays where nobody answers. */
  private async findWhoIsIn(): Promise<void> {
    const { dispatch } = this.store
    await this.attempt(async () => {
      const now = await request<Person | null>('GET', '/session')
      if (now) {
        await writeFact('person', now)
        await writeFact('shop', now.shop.id)
        dispatch(signedIn(now))
        if ((await readFact('sending')) === undefined) await this.askToSend(now)
      } else {
        await dropFact('person')
        dispatch(signedOut())
      }
    })
  }

  /** Throws Refused or NoAnswer, and where somebody else's work is still on this device. */
  signIn = (given: Credentials): Promise<void> => this.enter(() => request<Person>('POST', '/session', given))

  /** The first start: makes the shop and comes in as its owner. Throws Refused or NoAnswer. */
  makeShop = (given: NewShop): Promise<void> => this.enter(() => request<Person>('POST', '/shop', given))

  /** Takes up an invitation, or sets a new password. Throws Refused or NoAnswer. */
  useLink = (token: string, given: LinkUse): Promise<void> =>
    this.enter(() => request<Person>('POST', `/links/${token}`, given))

  private async enter(comeIn: () => Promise<Person>): Promise<void> {
    const person = await comeIn()
    const before = await this.shopBefore()
    if (before !== null && before !== person.shop.id) {
      if (await this.outbox.hasUnsent()) {
        await request('DELETE', '/session')
        throw new Error(
          'Work for another shop is still on this device and has not been sent. Sign in there first, with a signal.',
        )
      }
      await forgetAll()
      this.store.dispatch(visitsForgotten())
      this.store.dispatch(placesForgotten())
    }
    await writeFact('person', person)
    await writeFact('shop', person.shop.id)
    await dropFact('signedOut')
    this.store.dispatch(signedIn(person))
    await this.attempt(() => this.askToSend(person))
    await this.refresh()
  }

  /** Asks for what lets this device send later, should its person sign out with no signal. */
  private async askToSend(person: Person): Promise<void> {
    await dropFact('sending')
    if (person.role === 'reader') return
    const { token } = await request<SendCredential>('POST', '/send-credential', {})
    await writeFact('sending', token)
  }

  /** The shop whose work is on this device. */
  private async shopBefore(): Promise<string | null> {
    return (await readFact('shop')) ?? null
  }

  /**
   * Ends access on this device at once, signal or not. What is sent is forgotten; what is not stays until
   * it is, by a credential that can do nothing else.
   */
  async signOut(): Promise<void> {
    await this.send()
    const person = this.me()
    const token = await readFact('sending')
    if (token !== undefined && (await this.outbox.hasUnsent(person))) {
      const others = ((await readFact('left')) ?? []).filter((left) => left.person !== person)
      await writeFact('left', [...others, { person, token }])
    }
    await writeFact('signedOut', true)
    await dropFact('person')
    await dropFact('sending')
    this.store.dispatch(signedOut())
    await this.forgetWhatIsSent()
    await this.endLeftSession()
  }

  /** Ends the session of whoever signed out here with no signal. */
  private async endLeftSession(): Promise<void> {
    if (!(await readFact('signedOut'))) return
    await this.attempt(async () => {
      await request('DELETE', '/session')
      await dropFact('signedOut')
    })
  }

  /** Leaves on the device, and on the screen, only what is not with the server. */
  private async forgetWhatIsSent(): Promise<void> {
    const { visits, logs } = this.store.getState().visits
    const entries = Object.values(logs)
      .flat()
      .filter(({ sent }) => !sent)
    // an entry's visit stays with it: it says why an entry waits
    const needed = new Set(entries.map(({ visit }) => visit))
    const kept = {
      visits: Object.values(visits).filter(({ id, sent }) => !sent || needed.has(id)),
      entries,
      edits: this.edits().filter(({ sent }) => !sent),
      made: this.made().filter(({ sent }) => !sent),
    }
    await keepOnly(kept)
    const { dispatch } = this.store
    dispatch(visitsForgotten())
    dispatch(placesForgotten())
    for (const visit of kept.visits) dispatch(visitKept(visit))
    dispatch(entriesKept(kept.entries))
    for (const diagram of kept.made) dispatch(diagramMade(diagram))
    for (const edit of kept.edits) dispatch(placeEdited(edit))
  }

  /** Sends what is unsent, then fetches the board and the places. */
  async refresh(): Promise<void> {
    await this.send()
    await this.attempt(async () => {
      const sent = new Set([...this.edits(), ...this.made()].filter((kept) => kept.sent).map(({ id }) => id))
      const { session } = this.store.getState()
      const isReader = session.is === 'in' && session.person.role === 'reader'
      const [board, places, experience] = await Promise.all([
        request<Board>('GET', '/board'),
        request<Places>('GET', '/places'),
        isReader ? null : request<Experience>('GET', '/experience'),
      ])
      await Promise.all([writeFact('board', board), writeFact('places', places)])
      if (experience) {
        await writeFact('experience', experience)
        this.store.dispatch(experienceKnown(experience))
      }
      this.store.dispatch(placesKnown(places))
      this.store.dispatch(boardKnown(board))
      await this.sendAgainTo(places.epoch)
      this.store.dispatch(placesTaken(sent))
      await Promise.all([...sent].flatMap((id) => [dropPlaceEdit(id), dropDiagram(id)]))
    })
  }

  /**
   * A server that was restored may lack what it had said it has: all that was said here is sent again, each
   * once.
   */
  private async sendAgainTo(epoch: string): Promise<void> {
    const before = await readFact('epoch')
    await writeFact('epoch', epoch)
    if (before === undefined || before === epoch) return
    const { logs, visits } = this.store.getState().visits
    for (const visit of Object.values(visits)) {
      const again = { ...visit, seen: 0, sent: visit.startedBy !== this.me() }
      await writeVisit(again)
      this.store.dispatch(visitKept(again))
    }
    const own = Object.values(logs)
      .flat()
      .filter(({ by }) => by === this.me())
    await this.outbox.keep(own.map((entry) => ({ ...entry, sent: false })))
    await unsendPhotos()
    void this.send()
  }

  private edits = (): readonly KeptPlaceEdit[] => this.store.getState().places.edits
  private made = (): readonly KeptDiagram[] => this.store.getState().places.made

  /** Who is signed in on this device; empty: nobody. */
  private me(): string {
    const { session } = this.store.getState()
    return session.is === 'in' ? session.person.id : ''
  }

  /** Changes fields of a site or unit here, makes it where there is none, and sends it when it can. */
  async editPlace(of: PlaceKind, place: string, changes: readonly FieldChange[]): Promise<void> {
    if (changes.length === 0) return
    this.clock = tick(this.clock, Date.now())
    const edit = { id: newId(), of, place, clock: this.clock, changes, by: this.me(), sent: false }
    await this.aloud(writePlaceEdit(edit))
    this.store.dispatch(placeEdited(edit))
    void this.send()
  }

  /**
   * Sends many places, some at a time, with a signal; each request is kept whole or not at all. Throws
   * Refused or NoAnswer.
   */
  async sendPlaces(changes: readonly PlaceChange[]): Promise<void> {
    await this.send()
    const edits = changes.map((change) => {
      this.clock = tick(this.clock, Date.now())
      return { id: newId(), ...change, clock: this.clock }
    })
    for (let at = 0; at < edits.length; at += mostEdits)
      await request('POST', '/place-edits', { edits: edits.slice(at, at + mostEdits) })
    await this.refresh()
  }

  /** Keeps a circuit, made from another or anew. Gives its identity. */
  async makeDiagram(ladder: string, follows: string, why = ''): Promise<string> {
    const diagram = { id: newId(), ladder, follows, why, by: this.me(), sent: false }
    await this.aloud(writeDiagram(diagram))
    this.store.dispatch(diagramMade(diagram))
    void this.send()
    return diagram.id
  }

  /** Starts a visit on this device; the server hears of it when it can. */
  async startVisit(unit: string): Promise<string> {
    const { places } = this.store.getState().places
    const visit = {
      id: newId(),
      unit,
      diagram: places?.units.find(({ id }) => id === unit)?.diagram ?? '',
      startedAt: new Date().toISOString(),
      startedBy: this.me(),
      sent: false,
      seen: 0,
    }
    await this.aloud(writeVisit(visit))
    this.store.dispatch(visitKept(visit))
    void this.send()
    return visit.id
  }

  /** Fetches a visit's record and what its log has gained. */
  async openVisit(id: string): Promise<void> {
    await this.attempt(async () => {
      const kept = this.store.getState().visits.visits[id]
      if (kept && !kept.sent) return
      const visit = kept?.diagram
        ? kept
        : { ...(await request<Visit>('GET', `/visits/${id}`)), sent: true, seen: kept?.seen ?? 0 }
      await this.fetchDiagram(visit.diagram)
      const { entries } = await request<{ entries: readonly StoredEntry[] }>(
        'GET',
        `/visits/${id}/entries?after=${visit.seen}`,
      )
      const seen = entries.reduce((most, { sequence }) => Math.max(most, sequence), visit.seen)
      const fetched = entries.map(({ sequence: _, ...entry }): KeptEntry => ({ ...entry, sent: true }))
      for (const { clock } of fetched) this.clock = witness(this.clock, clock, Date.now())
      await writeEntries(fetched)
      this.store.dispatch(entriesKept(fetched))
      await writeVisit({ ...visit, seen })
      this.store.dispatch(visitKept({ ...visit, seen }))
    })
  }

  /** A circuit that is not among the places any more, for a visit that began with it. */
  private async fetchDiagram(id: string): Promise<void> {
    const { places } = this.store.getState().places
    if (!places || places.diagrams.some((diagram) => diagram.id === id)) return
    this.store.dispatch(diagramFetched(await request<DiagramRecord>('GET', `/diagrams/${id}`)))
  }

  /**
   * Keeps an entry on the device, shows it, and sends it when it can. Gives its identity; `kept` may change
   * in the same moment what else is shown.
   */
  async say(visit: string, body: EntryBody, kept?: (entry: string) => void): Promise<string> {
    this.clock = tick(this.clock, Date.now())
    const entry: KeptEntry = {
      id: newId(),
      visit,
      clock: this.clock,
      by: this.me(),
      body,
      sent: false,
    }
    await this.aloud(writeEntries([entry]))
    kept?.(entry.id)
    this.store.dispatch(entriesKept([entry]))
    void this.send()
    return entry.id
  }

  /** Keeps a picture on the device, and says in the log what it shows. Gives the identity of the picture. */
  async takePhoto(visit: string, image: Blob, shows: PhotoOf): Promise<string> {
    const id = newId()
    await this.aloud(writePhoto({ id, visit, image, by: this.me(), sent: false }))
    await this.say(visit, { kind: 'photo', photo: id, ...shows })
    return id
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
    const person = this.me()
    if (person !== '') await this.outbox.sendAll({ person })
    await this.sendForThoseWhoLeft()
  }

  /** Work of people who signed out here with some of it unsent: once all has gone, so does what let it go. */
  private async sendForThoseWhoLeft(): Promise<void> {
    for (const { person, token } of (await readFact('left')) ?? []) {
      try {
        await this.outbox.sendAll({ person, token })
        await request('DELETE', '/send-credential', undefined, token)
      } catch (error) {
        // it has ended or run out: the work waits here until they sign in
        if (!(error instanceof Refused && error.status === 401)) throw error
      }
      const others = ((await readFact('left')) ?? []).filter((left) => left.person !== person)
      await writeFact('left', others)
      if (this.me() === '') await this.forgetWhatIsSent()
    }
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
      } else if (error instanceof Refused && error.status === 507)
        this.store.dispatch(serverTroubled(error.problem.error))
      else if (!(error instanceof Refused)) throw error
    }
  }
}
