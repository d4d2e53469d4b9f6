import type { Router } from 'express'
import type { Database } from '../db/connect'
import type { PictureDesk } from '../pictures/pictureDesk'
import type { Print } from '../paper/printJob'
import { archiveRoutes } from './archive'
import { peopleRoutes } from './people'
import { photoRoutes } from './photos'
import { placeRoutes } from './places'
import { recordRoutes } from './records'
import { reportRoutes } from './reports'
import { visitRoutes } from './visits'

/** Every route of a shop, for somebody who is signed in: what each may ask is in `requests/access.ts`. */
export const shopRoutes = (db: Database, print: Print, pictures: PictureDesk): readonly Router[] => [
  placeRoutes(db, print),
  peopleRoutes(db),
  recordRoutes(db),
  reportRoutes(db, print, pictures),
  photoRoutes(db, pictures),
  visitRoutes(db),
  archiveRoutes(db),
]
