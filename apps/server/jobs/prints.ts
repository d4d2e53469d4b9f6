import { eq, lt } from 'drizzle-orm'
import type { Database } from '../db/connect'
import { prints } from '../db/schema'
import type { Print } from '../paper/printJob'
import type { OrderPrint, PrintOrder } from '../paper/printOrder'
import type { PictureDesk } from '../pictures/pictureDesk'
import { RequestProblem } from '../requests/problem'
import { printJobOf } from '../services/printJobs'
import type { Queue } from './queue'

const name = 'print'
/** Somebody waits for a document so long, and looks so often. */
const patienceMs = 60_000
const lookEveryMs = 150
/** A document that nobody fetched is kept so long. */
const keptMs = 3_600_000

/** Takes up orders that wait, of whichever server they are. */
export const printOrders = (db: Database, queue: Queue, pictures: PictureDesk, print: Print): Promise<void> =>
  queue.take<PrintOrder>(name, async (order, id) => {
    const pdf = Buffer.from(await print(await printJobOf(db, pictures, order)))
    await db.delete(prints).where(lt(prints.madeAt, new Date(Date.now() - keptMs)))
    await db.insert(prints).values({ id, shopId: order.shop, pdf }).onConflictDoNothing()
  })

/** Hands an order over and waits for its document: a server that dies over it leaves it to another. */
export const printByQueue =
  (db: Database, queue: Queue): OrderPrint =>
  async (order) => {
    const id = await queue.send(name, order)
    const until = Date.now() + patienceMs
    while (Date.now() < until) {
      const [made] = await db.delete(prints).where(eq(prints.id, id)).returning({ pdf: prints.pdf })
      if (made) return made.pdf
      if (await queue.isLost(name, id)) throw new Error('a document could not be made')
      await new Promise((resolve) => setTimeout(resolve, lookEveryMs))
    }
    throw new RequestProblem(503, { error: 'too many documents are being made; try again in a minute' })
  }
