import type { Router } from 'express'
import type { Database } from '../db/connect'
import type { OrderLetter } from '../jobs/letters'
import type { OrderPrint } from '../paper/printOrder'
import type { PictureDesk } from '../pictures/pictureDesk'
import { archiveRoutes } from './archive'
import { credentialRoutes } from './credentials'
import { peopleRoutes } from './people'
import { photoRoutes } from './photos'
import { placeRoutes } from './places'
import { recordRoutes } from './records'
import { reportRoutes } from './reports'
import { secondFactorRoutes } from './secondFactor'
import { visitRoutes } from './visits'

/** What routes hand on to others than the database. */
export interface Desks {
  readonly orderPrint: OrderPrint
  readonly pictures: PictureDesk
  /** Null: there is no post. */
  readonly orderLetter: OrderLetter | null
}

/** Every route of a shop, for somebody who is signed in: what each may ask is in `requests/access.ts`. */
export const shopRoutes = (db: Database, { orderPrint, pictures, orderLetter }: Desks): readonly Router[] => [
  placeRoutes(db, orderPrint),
  peopleRoutes(db, orderLetter),
  recordRoutes(db),
  reportRoutes(db, orderPrint),
  photoRoutes(db, pictures),
  visitRoutes(db),
  archiveRoutes(db),
  credentialRoutes(db),
  secondFactorRoutes(db),
]
