import { createHash, randomUUID } from 'node:crypto'
import { isNull } from 'drizzle-orm'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '@jokulgale/core/units/index'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { diagrams, units } from '../db/schema'
import { storePlaceEdits } from './placeEdits'

/** Versions of one built-in circuit: the first has its name, later ones its name and a hash of their text. */
const laterVersion = (id: string, ladder: string): string =>
  `${id} ${createHash('sha256').update(ladder).digest('hex').slice(0, 8)}`

const isOf = (id: string, version: string): boolean => version === id || version.startsWith(`${id} `)

/**
 * Gives a shop the circuits that come with the program, as they are now. One whose text has changed is a new version:
 * units that have the old one go on to it, visits that began with the old one keep it.
 */
export async function keepBuiltInDiagrams(
  db: Pick<Database, 'select' | 'insert' | 'update' | 'execute'>,
  shopId: string,
): Promise<void> {
  const kept = await db
    .select({ id: diagrams.id, ladder: diagrams.ladder })
    .from(diagrams)
    .where(ofShop(diagrams, shopId, isNull(diagrams.madeBy)))
  for (const id of builtInUnitIds) {
    const ladder = builtInUnitText(id)
    const versions = kept.filter((version) => isOf(id, version.id))
    if (versions.some((version) => version.ladder === ladder)) continue
    const isFirst = versions.length === 0
    const version = isFirst ? id : laterVersion(id, ladder)
    const follows = versions.at(-1)?.id ?? null
    await db.insert(diagrams).values({ shopId, id: version, title: builtInUnit(id).title, ladder, follows })
    if (!isFirst)
      await moveUnits(
        db,
        shopId,
        versions.map((old) => old.id),
        version,
      )
  }
}

async function moveUnits(
  db: Pick<Database, 'select' | 'insert' | 'update' | 'execute'>,
  shopId: string,
  from: readonly string[],
  to: string,
): Promise<void> {
  const all = await db
    .select({ id: units.id, diagram: units.diagramId })
    .from(units)
    .where(ofShop(units, shopId))
  const moving = all.filter(({ diagram }) => from.includes(diagram))
  await storePlaceEdits(
    db,
    { shopId, personId: null },
    moving.map(({ id, diagram }, counter) => ({
      id: randomUUID(),
      of: 'unit',
      place: id,
      clock: { wall: Date.now(), counter, device: 'program' },
      changes: [{ field: 'diagram', from: diagram, to }],
    })),
  )
}
