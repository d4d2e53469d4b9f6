import { compareClocks } from '@jokulgale/core/visit/clock'
import { diagramMade, placeEdited } from '../places/placesSlice'
import type { AppStore } from '../store'
import { entriesKept, visitKept } from '../visit/visitsSlice'
import {
  unsentPhotos,
  writeDiagram,
  writeEntries,
  writePhoto,
  writePlaceEdit,
  writeVisit,
  type KeptDiagram,
  type KeptEntry,
  type KeptPhoto,
  type KeptPlaceEdit,
  type KeptVisit,
} from './device'
import { isForGood, request, sendPicture } from './request'

const batch = 200

/** In whose name something is sent. */
export interface Sender {
  readonly person: string
  /** What lets this device send once they have signed out; none: their session. */
  readonly token?: string
}

/** Something that was made here, by somebody; empty where nobody was known. */
interface Made {
  readonly sent: boolean
  readonly refused?: string
  readonly by: string
}

const isToSend = ({ sent, refused, by }: Made, { person }: Sender): boolean =>
  !sent && refused === undefined && (by === '' || by === person)

/** What is on this device and not with the server yet, and how it gets there: nobody's in another's name. */
export class Outbox {
  constructor(private readonly store: AppStore) {}

  private places = () => this.store.getState().places
  private visits = () => this.store.getState().visits

  /** Whether anything waits to be sent: of one person, or of anybody. */
  async hasUnsent(person?: string): Promise<boolean> {
    const { logs, visits } = this.visits()
    const all: readonly Made[] = [
      ...Object.values(logs).flat(),
      ...Object.values(visits).map((visit) => ({ ...visit, by: visit.startedBy })),
      ...this.places().edits,
      ...this.places().made,
      ...(await unsentPhotos()).map((photo) => ({ ...photo, by: photo.by ?? '' })),
    ]
    return all.some((made) => isToSend(made, { person: person ?? made.by }))
  }

  /** Sends everything of one person, each kind after what it refers to. Throws Refused (401) or NoAnswer. */
  async sendAll(as: Sender): Promise<void> {
    for (const diagram of this.diagramsToSend(as)) await this.sendDiagram(diagram, as)
    for (const edit of this.editsToSend(as)) await this.sendEdit(edit, as)
    for (const visit of this.visitsToSend(as)) await this.sendVisit(visit, as)
    for (const photo of await unsentPhotos())
      if (isToSend({ ...photo, by: photo.by ?? '' }, as)) await this.sendPhoto(photo, as)
    for (let waiting = this.entriesToSend(as); waiting.length > 0; waiting = this.entriesToSend(as))
      await this.sendBatch(waiting.slice(0, batch), as)
  }

  /** Keeps entries on the device and shows them. */
  async keep(entries: readonly KeptEntry[]): Promise<void> {
    await writeEntries(entries)
    this.store.dispatch(entriesKept(entries))
  }

  /** Entries that go with the next sending: none before its visit. */
  private entriesToSend(as: Sender): readonly KeptEntry[] {
    const { logs, visits } = this.visits()
    return Object.values(logs)
      .flat()
      .filter((entry) => isToSend(entry, as) && visits[entry.visit]?.refused === undefined)
  }

  private visitsToSend = (as: Sender): readonly KeptVisit[] =>
    Object.values(this.visits().visits).filter((visit) => isToSend({ ...visit, by: visit.startedBy }, as))

  /** In the order that they were made in: a unit is of a site that the server has by then. */
  private editsToSend = (as: Sender): readonly KeptPlaceEdit[] =>
    this.places()
      .edits.filter((kept) => isToSend(kept, as))
      .sort((a, b) => compareClocks(a.clock, b.clock))

  /** Each after the one that it was made from. */
  private diagramsToSend(as: Sender): readonly KeptDiagram[] {
    const left = new Map(this.places().made.flatMap((kept) => (isToSend(kept, as) ? [[kept.id, kept]] : [])))
    const ordered: KeptDiagram[] = []
    const take = (diagram: KeptDiagram | undefined): void => {
      if (!diagram || !left.delete(diagram.id)) return
      take(left.get(diagram.follows))
      ordered.push(diagram)
    }
    for (const diagram of [...left.values()]) take(diagram)
    return ordered
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

  private async sendDiagram({ by, ...diagram }: KeptDiagram, { token }: Sender): Promise<void> {
    const { id, ladder, follows, why } = diagram
    const outcome = await this.outcomeOf(request('POST', '/diagrams', { id, ladder, follows, why }, token))
    const after = { ...diagram, by, ...outcome }
    await writeDiagram(after)
    this.store.dispatch(diagramMade(after))
  }

  private async sendEdit(edit: KeptPlaceEdit, { token }: Sender): Promise<void> {
    const { id, of, place, clock, changes } = edit
    const sending = request('POST', '/place-edits', { edits: [{ id, of, place, clock, changes }] }, token)
    const after = { ...edit, ...(await this.outcomeOf(sending)) }
    await writePlaceEdit(after)
    this.store.dispatch(placeEdited(after))
  }

  private async sendVisit(visit: KeptVisit, { token }: Sender): Promise<void> {
    const { id, unit, diagram } = visit
    const body = { id, unit, ...(diagram ? { diagram } : {}) }
    const after = { ...visit, ...(await this.outcomeOf(request('POST', '/visits', body, token))) }
    await writeVisit(after)
    this.store.dispatch(visitKept(after))
  }

  private async sendPhoto(photo: KeptPhoto, { token }: Sender): Promise<void> {
    // a picture that the server will never take stays on the device, with the reason
    const sending = sendPicture(`/photos/${photo.id}?visit=${photo.visit}`, photo.image, token)
    await writePhoto({ ...photo, ...(await this.outcomeOf(sending)) })
  }

  private async sendBatch(entries: readonly KeptEntry[], as: Sender): Promise<void> {
    try {
      const body = {
        entries: entries.map(({ id, visit, clock, body: said }) => ({ id, visit, clock, body: said })),
      }
      await request('POST', '/entries', body, as.token)
      await this.keep(entries.map((entry) => ({ ...entry, sent: true })))
    } catch (error) {
      if (!isForGood(error)) throw error
      // one entry that the server will never take must not hold back the others
      if (entries.length > 1) for (const entry of entries) await this.sendBatch([entry], as)
      else await this.keep(entries.map((entry) => ({ ...entry, refused: error.message })))
    }
  }
}
