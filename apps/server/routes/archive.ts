import { pipeline } from 'node:stream/promises'
import { Router } from 'express'
import { writeArchive } from '../archive/writeArchive'
import type { Database } from '../db/connect'
import { whoAsks } from '../requests/signedIn'
import { noteSecurity } from '../services/security'

/** Everything of the shop, for its owner to keep. */
export function archiveRoutes(db: Database): Router {
  const router = Router()
  router.get('/shop/archive.zip', async (request, response) => {
    const who = whoAsks(request)
    await noteSecurity(db, who, 'exported', 'the whole shop')
    const archive = await writeArchive(db, who.shopId)
    response.type('application/zip').attachment(`shop-${new Date().toISOString().slice(0, 10)}.zip`)
    // an archive that breaks off ends the answer: half of one is never taken for a whole
    await pipeline(archive, response)
  })
  return router
}
