import type { Database } from '../db/connect'
import { letterWithLink } from '../mail/letters'
import type { Post } from '../mail/post'
import { linkOfOrder, type LinkOrder } from '../services/links'
import type { Queue } from './queue'

const name = 'mail'

/** Has somebody sent a letter with a link of its own. */
export type OrderLetter = (order: LinkOrder) => Promise<void>

/**
 * Takes up letters that wait. The link in a letter is made when it is sent: until then there is nothing
 * in any table that would let somebody in.
 */
export const sendLetters = (db: Database, queue: Queue, post: Post, address: string): Promise<void> =>
  queue.take<LinkOrder>(name, async (order) => {
    await post(letterWithLink(await linkOfOrder(db, order), address))
  })

export const letterByQueue =
  (queue: Queue): OrderLetter =>
  async (order) => {
    await queue.send(name, order)
  }
