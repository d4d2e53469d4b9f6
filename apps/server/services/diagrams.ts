import { eq, inArray } from 'drizzle-orm'
import type { NewDiagram } from '@jokulgale/contract/placeEdits'
import type { DiagramRecord } from '@jokulgale/contract/places'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import { DiagramError, knownLadder, readLadder } from '@jokulgale/core/diagram/readLadder'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { diagrams } from '../db/schema'
import { notFound, RequestProblem } from '../requests/problem'
import type { Who } from '../requests/signedIn'

export const diagramColumns = {
  id: diagrams.id,
  title: diagrams.title,
  ladder: diagrams.ladder,
  follows: diagrams.follows,
  why: diagrams.why,
  madeBy: diagrams.madeBy,
}

export const diagramRecord = ({
  follows,
  madeBy,
  ...row
}: Pick<typeof diagrams.$inferSelect, keyof typeof diagramColumns>): DiagramRecord => ({
  ...row,
  follows: follows ?? '',
  isBuiltIn: madeBy === null,
})

export async function findDiagram(db: Database, shopId: string, id: string): Promise<DiagramRecord> {
  const [row] = await db
    .select(diagramColumns)
    .from(diagrams)
    .where(ofShop(diagrams, shopId, eq(diagrams.id, id)))
  if (!row) throw notFound('this circuit')
  return diagramRecord(row)
}

/** Circuits by their identity, read. */
export async function diagramsById(
  db: Pick<Database, 'select'>,
  shopId: string,
  ids: readonly string[],
): Promise<ReadonlyMap<string, Diagram>> {
  if (ids.length === 0) return new Map()
  const rows = await db
    .select({ id: diagrams.id, ladder: diagrams.ladder })
    .from(diagrams)
    .where(ofShop(diagrams, shopId, inArray(diagrams.id, [...ids])))
  return new Map(rows.map(({ id, ladder }) => [id, knownLadder(ladder)]))
}

/**
 * Keeps a version of a circuit; sent twice, it is there once. Throws RequestProblem (422) with the lines that cannot be
 * read, and 409 where the identity is another circuit's.
 */
export async function storeDiagram(db: Database, who: Who, sent: NewDiagram): Promise<DiagramRecord> {
  const { title } = readSent(sent.ladder)
  if (sent.follows !== '') await findDiagram(db, who.shopId, sent.follows)
  await db
    .insert(diagrams)
    .values({
      id: sent.id,
      shopId: who.shopId,
      title,
      ladder: sent.ladder,
      follows: sent.follows === '' ? null : sent.follows,
      why: sent.why,
      madeBy: who.personId,
    })
    .onConflictDoNothing()
  const kept = await findDiagram(db, who.shopId, sent.id)
  if (kept.ladder !== sent.ladder)
    throw new RequestProblem(409, { error: 'another circuit has this id; take a new id' })
  return kept
}

function readSent(ladder: string): Diagram {
  try {
    return readLadder(ladder)
  } catch (error) {
    if (!(error instanceof DiagramError)) throw error
    throw new RequestProblem(422, {
      error: 'this circuit cannot be used yet',
      fields: error.problems
        .slice(0, 50)
        .map(({ line, message }) => ({ field: `line ${line}`, message: `line ${line}: ${message}` })),
    })
  }
}
