import { ne } from 'drizzle-orm'
import type { EntryBody } from '@jokulgale/core/visit/entry'
import type { Pairing, UnitGlance, UnitPanel } from '@jokulgale/contract/records'
import type { Experience } from '@jokulgale/core/diagnosis/priors'
import { seriesWords } from '@jokulgale/core/diagnosis/words'
import { entriesOf } from '@jokulgale/core/visit/fold'
import { merge, standingEntries } from '@jokulgale/core/visit/log'
import { photoWords, spotsIn } from '@jokulgale/core/visit/spots'
import { temporaryWords } from '@jokulgale/core/visit/temporary'
import { unitHistory } from '@jokulgale/core/visit/unitHistory'
import { foldUnitRecord } from '@jokulgale/core/visit/unitRecord'
import { partWords } from '@jokulgale/core/diagram/diagram'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { unitSummaries } from '../db/schema'
import { notFound } from '../requests/problem'
import { drawnUnits, entriesOfSite, entriesOfUnits, logOfUnit } from './logs'

const dayOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10)

/** A unit at a glance: what was found last, what is still open, what drifts, what is old. */
export async function glanceAt(db: Database, shopId: string, unitId: string): Promise<UnitGlance> {
  const [[drawn], log] = await Promise.all([
    drawnUnits(db, shopId, { unit: unitId }),
    logOfUnit(db, shopId, unitId),
  ])
  if (!drawn) throw notFound('this unit')
  const { diagram, unit } = drawn
  const record = foldUnitRecord(log, diagram, unit.installed, Date.now())
  const name = (of: string): string => partWords(diagram, of)
  return {
    last: record.lastOutcome
      ? {
          day: dayOf(record.lastOutcome.entry.clock.wall),
          outcome: record.lastOutcome.body.outcome,
          words: record.lastOutcome.body.words,
          repairs: record.lastRepairs.map(({ body }) => body.words ?? name(body.of)),
        }
      : null,
    defects: record.openDefects.map(({ entry, body }) => ({
      id: entry.id,
      words: body.words,
      since: dayOf(entry.clock.wall),
    })),
    measures: record.measures.map((measure) => ({
      id: measure.entry.id,
      words: temporaryWords(measure),
      until: measure.left?.expires ?? '',
    })),
    drifting: record.drifting.map(({ what, values, unit: of }) => seriesWords(what, values, of)),
    contactors: record.contactors.map(({ words, years }) => ({ words, years: Math.round(years * 10) / 10 })),
    changes: [
      ...record.diagramChanges.map(({ body }) => `${name(body.of)}: ${body.words}`),
      ...record.rewirings.map(({ body }) => `wired as planned: ${body.words}`),
    ],
    again: record.again.map(({ of, times }) => `${name(of)}: ${times} times`),
    history: unitHistory(log, diagram),
  }
}

/** What the shop's closed visits have found, by kind of part and fault: counts, nothing more. */
export async function experienceOf(db: Database, shopId: string): Promise<Experience> {
  const rows = await db
    .select({ repairs: unitSummaries.repairs })
    .from(unitSummaries)
    .where(ofShop(unitSummaries, shopId, ne(unitSummaries.repairs, {})))
  const repairs: Record<string, number> = {}
  for (const row of rows)
    for (const [key, times] of Object.entries(row.repairs)) repairs[key] = (repairs[key] ?? 0) + times
  return { repairs }
}

const panelKinds: readonly EntryBody['kind'][] = ['photo', 'pinned', 'retracted']

/**
 * Pictures taken on any visit to a unit, and where its test points are on them. Throws RequestProblem
 * (404).
 */
export async function panelOf(db: Database, shopId: string, unit: string): Promise<UnitPanel> {
  const entries = standingEntries(merge(await entriesOfUnits(db, shopId, [unit], panelKinds)))
  return {
    spots: [...spotsIn(entries)].map(([of, spot]) => ({ kind: 'pinned', of, ...spot })),
    photos: entriesOf(entries, 'photo')
      .map(({ entry, body }) => ({
        photo: body.photo,
        words: photoWords(body),
        day: dayOf(entry.clock.wall),
      }))
      .reverse(),
  }
}

const pairingKinds: readonly EntryBody['kind'][] = ['pairing', 'pairing-step', 'placed', 'retracted']

/** Which thermostat belongs to which unit, as proven on any visit to the site; where its units stand. */
export async function pairingsOf(db: Database, shopId: string, site: string): Promise<Pairing> {
  const entries = standingEntries(merge(await entriesOfSite(db, shopId, site, pairingKinds)))
  const newest = new Map(entriesOf(entries, 'pairing').map((pairing) => [pairing.body.indoor, pairing]))
  return {
    pairs: [...newest.values()].map(({ entry, body }) => ({ ...body, day: dayOf(entry.clock.wall) })),
    steps: entriesOf(entries, 'pairing-step').map(({ entry, body }) => ({
      ...body,
      day: dayOf(entry.clock.wall),
    })),
    places: [...new Map(entriesOf(entries, 'placed').map(({ body }) => [body.of, body])).values()],
  }
}
