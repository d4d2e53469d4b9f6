import type { LinkUse, NewShop } from '@jokulgale/contract/people'
import { mostEdits } from '@jokulgale/contract/placeEdits'
import type { Board, DiagramRecord, Places } from '@jokulgale/contract/places'
import type { Experience } from '@jokulgale/core/diagnosis/priors'
import type { Person, SignIn } from '@jokulgale/contract/session'
import type { StoredEntry, Visit } from '@jokulgale/contract/visit'
import { compareClocks, tick, witness, type Clock } from '@jokulgale/core/visit/clock'
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
import { entriesKept, reachable, visitKept, visitsForgotten } from '../visit/visitsSlice'
import {
  dropDiagram,
  dropFact,
  dropPlaceEdit,
  forgetAll,
  readDiagrams,
  readFact,
  readLog,
  readPlaceEdits,
  readVisits,
  unsendPhotos,
  unsentPhotos,
  writeDiagram,
  writeEntries,
  writeFact,
  writePhoto,
  writePlaceEdit,
  writeVisit,
  type KeptDiagram,
  type KeptEntry,
  type KeptPhoto,
  type KeptPlaceEdit,
  type KeptVisit,
} from './device'
import { keepingAloud } from './keepAloud'
import { newId } from './newId'
import { programNow } from './program'
import { isForGood, NoAnswer, Refused, request, sendPicture } from './request'

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

  constructor(
    private readonly store: AppStore,
    private readonly aloud = keepingAloud(store),
  ) {}

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
    window.addEventListener('online', () => {
      void this.send()
    })
    setInterval(() => {
      if (this.hasUnsent()) void this.send()
    }, retryMs)
    await this.attempt(async () => {
      const now = await request<Person | null>('GET', '/session')
      if (now) {
        await writeFact('person', now)
        await writeFact('shop', now.shop.id)
        dispatch(signedIn(now))
      } else {
        await dropFact('person')
        dispatch(signedOut())
      }
    })
    if (this.store.getState().session.is === 'unknown') dispatch(signedOut())
    if (this.store.getState().session.is === 'in') await this.refresh()
  }

  /** Throws Refused or NoAnswer, and where somebody else's work is still on this device. */
  signIn = (given: SignIn): Promise<void> => this.enter(() => request<Person>('POST', '/session', given))

  /** The first start: makes the shop and comes in as its owner. Throws Refused or NoAnswer. */
  makeShop = (given: NewShop): Promise<void> => this.enter(() => request<Person>('POST', '/shop', given))

  /** Takes up an invitation, or sets a new password. Throws Refused or NoAnswer. */
  useLink = (token: string, given: LinkUse): Promise<void> =>
    this.enter(() => request<Person>('POST', `/links/${token}`, given))

  private async enter(comeIn: () => Promise<Person>): Promise<void> {
    const person = await comeIn()
    const before = await this.shopBefore()
    if (before !== null && before !== person.shop.id) {
      if (this.hasUnsent()) {
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
    this.store.dispatch(signedIn(person))
    await this.refresh()
  }

  /** The shop whose work is on this device. */
  private async shopBefore(): Promise<string | null> {
    return (await readFact('shop')) ?? null
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
    await this.keep(own.map((entry) => ({ ...entry, sent: false })))
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
   * Sends many places, some at a time, with a signal; each request is kept whole or not at all. Throws Refused or
   * NoAnswer.
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

  /** Keeps a picture on the device, and says in the log what it shows. Gives the identity of the entry. */
  async takePhoto(visit: string, image: Blob, shows: PhotoOf): Promise<string> {
    const id = newId()
    await this.aloud(writePhoto({ id, visit, image, sent: false }))
    return this.say(visit, { kind: 'photo', photo: id, ...shows })
  }

  /** Entries that go with the next sending: nobody's are sent in another's name, nor before their visit. */
  private unsent(): readonly KeptEntry[] {
    const { logs, visits } = this.store.getState().visits
    return Object.values(logs)
      .flat()
      .filter((entry) => this.isToSend(entry) && visits[entry.visit]?.refused === undefined)
  }

  private isToSend({ sent, refused, by }: KeptEntry | KeptPlaceEdit | KeptDiagram): boolean {
    return !sent && refused === undefined && (by === '' || by === this.me())
  }

  /** In the order that they were made in: a unit is of a site that the server has by then. */
  private editsToSend = (): readonly KeptPlaceEdit[] =>
    this.edits()
      .filter((kept) => this.isToSend(kept))
      .sort((a, b) => compareClocks(a.clock, b.clock))

  /** Each after the one that it was made from. */
  private diagramsToSend(): readonly KeptDiagram[] {
    const left = new Map(this.made().flatMap((kept) => (this.isToSend(kept) ? [[kept.id, kept]] : [])))
    const ordered: KeptDiagram[] = []
    const take = (diagram: KeptDiagram | undefined): void => {
      if (!diagram || !left.delete(diagram.id)) return
      take(left.get(diagram.follows))
      ordered.push(diagram)
    }
    for (const diagram of [...left.values()]) take(diagram)
    return ordered
  }

  private unsentVisits = (): readonly KeptVisit[] =>
    Object.values(this.store.getState().visits.visits).filter(
      ({ sent, refused, startedBy }) =>
        !sent && refused === undefined && (startedBy === '' || startedBy === this.me()),
    )

  /** Whether anything of anybody's is only on this device. */
  private hasUnsent(): boolean {
    const { logs, visits } = this.store.getState().visits
    const all = [...Object.values(logs).flat(), ...Object.values(visits), ...this.edits(), ...this.made()]
    return all.some(({ sent, refused }) => !sent && refused === undefined)
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
    for (const diagram of this.diagramsToSend()) await this.sendDiagram(diagram)
    for (const edit of this.editsToSend()) await this.sendEdit(edit)
    for (const visit of this.unsentVisits()) await this.sendVisit(visit)
    for (const photo of await unsentPhotos()) await this.sendPhoto(photo)
    for (let waiting = this.unsent(); waiting.length > 0; waiting = this.unsent())
      await this.sendBatch(waiting.slice(0, batch))
    this.store.dispatch(reachable(true))
  }

  /** What is refused for good keeps its reason, stays on the device, and holds back nothing else. */
  private async outcomeOf(
    sending: Promise<unknown>,
  ): Promise<{ sent: true } | { sent: false; refused: string }> {
    try {
      await sending
      return { sent: true }
    } catch (error) {
      if (!isForGood(error)) throw error
      return { sent: false, refused: error.message }
    }
  }

  private async sendDiagram({ by, ...diagram }: KeptDiagram): Promise<void> {
    const { id, ladder, follows, why } = diagram
    const outcome = await this.outcomeOf(request('POST', '/diagrams', { id, ladder, follows, why }))
    const after = { ...diagram, by, ...outcome }
    await writeDiagram(after)
    this.store.dispatch(diagramMade(after))
  }

  private async sendEdit(edit: KeptPlaceEdit): Promise<void> {
    const { id, of, place, clock, changes } = edit
    const sending = request('POST', '/place-edits', { edits: [{ id, of, place, clock, changes }] })
    const after = { ...edit, ...(await this.outcomeOf(sending)) }
    await writePlaceEdit(after)
    this.store.dispatch(placeEdited(after))
  }

  private async sendVisit(visit: KeptVisit): Promise<void> {
    const { id, unit, diagram } = visit
    const body = { id, unit, ...(diagram ? { diagram } : {}) }
    const after = { ...visit, ...(await this.outcomeOf(request('POST', '/visits', body))) }
    await writeVisit(after)
    this.store.dispatch(visitKept(after))
  }

  private async sendPhoto(photo: KeptPhoto): Promise<void> {
    // a picture that the server will never take stays on the device, with the reason
    const sending = sendPicture(`/photos/${photo.id}?visit=${photo.visit}`, photo.image)
    await writePhoto({ ...photo, ...(await this.outcomeOf(sending)) })
  }

  private async sendBatch(entries: readonly KeptEntry[]): Promise<void> {
    try {
      await request('POST', '/entries', {
        entries: entries.map(({ id, visit, clock, body }) => ({ id, visit, clock, body })),
      })
      await this.keep(entries.map((entry) => ({ ...entry, sent: true })))
    } catch (error) {
      if (!isForGood(error)) throw error
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
