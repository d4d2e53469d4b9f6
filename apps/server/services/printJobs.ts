import type { Database } from '../db/connect'
import type { Labelled } from '../paper/labels'
import type { PrintJob } from '../paper/printJob'
import type { PrintOrder } from '../paper/printOrder'
import type { PictureDesk } from '../pictures/pictureDesk'
import { notFound } from '../requests/problem'
import { findDiagram } from './diagrams'
import { placedUnits } from './logs'
import { paperPhotos } from './photos'
import { visitPapers } from './reports'

/** Everything that an order prints. Throws RequestProblem (404) for what the shop does not have. */
export async function printJobOf(db: Database, pictures: PictureDesk, order: PrintOrder): Promise<PrintJob> {
  if (order.print === 'labels')
    return {
      print: 'labels',
      labelled: await labelledUnits(db, order.shop, order.site),
      origin: order.origin,
    }
  if (order.print === 'drawing')
    return {
      print: 'drawing',
      ladder: (await findDiagram(db, order.shop, order.diagram)).ladder,
      size: order.size,
    }
  const { shop, visit, utcOffsetMinutes, size } = order
  const papers = await visitPapers(db, shop, visit, utcOffsetMinutes)
  return { print: 'report', papers, photos: await paperPhotos(db, pictures, shop, visit), size }
}

/** Units that get a label, in the order of their names. Throws RequestProblem (404) where there is none. */
export async function labelledUnits(
  db: Database,
  shopId: string,
  site: string | null,
): Promise<readonly Labelled[]> {
  const placed = await placedUnits(db, shopId, { site })
  const labelled = placed
    .filter(({ unit }) => !unit.archived)
    .sort((a, b) => a.unit.label.localeCompare(b.unit.label))
  if (labelled.length === 0) throw notFound('a unit here')
  return labelled
}
