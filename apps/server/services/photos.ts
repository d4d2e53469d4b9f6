import { eq } from 'drizzle-orm'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { photos } from '../db/schema'
import { notFound, RequestProblem } from '../requests/problem'
import type { PaperPhoto } from '../paper/paperPhoto'
import type { PictureDesk } from '../pictures/pictureDesk'
import type { Who } from '../requests/signedIn'
import { findVisit } from './visits'

export interface Photo {
  readonly type: string
  readonly image: Buffer
}

/**
 * Keeps a picture under the identity that the device gave it, decoded and written anew; sent twice, it is there once.
 * Throws RequestProblem (404, 409, and 422 for what is no picture).
 */
export async function storePhoto(
  db: Database,
  pictures: PictureDesk,
  who: Who,
  id: string,
  visit: string,
  image: Buffer,
): Promise<void> {
  if (!(await findVisit(db, who.shopId, visit))) throw notFound('this visit')
  if (await isKept(db, who, id, visit)) return
  const written = await pictures.writeAnew(image)
  if (!written)
    throw new RequestProblem(422, {
      error: 'this is no picture that can be read: take it again, as JPEG, PNG or WebP',
    })
  await db
    .insert(photos)
    .values({
      id,
      shopId: who.shopId,
      visitId: visit,
      personId: who.personId,
      type: 'image/jpeg',
      image: written.image,
      writtenAnew: true,
      takenAt: written.takenAt,
    })
    .onConflictDoNothing()
  if (!(await isKept(db, who, id, visit)))
    throw new RequestProblem(409, { error: 'a picture with this id exists elsewhere; take a new id' })
}

async function isKept(db: Database, { shopId }: Who, id: string, visit: string): Promise<boolean> {
  const [kept] = await db
    .select({ id: photos.id })
    .from(photos)
    .where(ofShop(photos, shopId, eq(photos.id, id), eq(photos.visitId, visit)))
  return kept !== undefined
}

export async function findPhoto(db: Database, shopId: string, id: string): Promise<Photo> {
  const [photo] = await db
    .select({ type: photos.type, image: photos.image })
    .from(photos)
    .where(ofShop(photos, shopId, eq(photos.id, id)))
  if (!photo) throw notFound('this picture')
  return photo
}

/** The pictures of a visit for its report: those from before they were written anew are so now. */
export async function paperPhotos(
  db: Database,
  pictures: PictureDesk,
  shopId: string,
  visit: string,
): Promise<readonly PaperPhoto[]> {
  const rows = await db
    .select({ id: photos.id, image: photos.image, writtenAnew: photos.writtenAnew })
    .from(photos)
    .where(ofShop(photos, shopId, eq(photos.visitId, visit)))
    .orderBy(photos.receivedAt)
  return Promise.all(
    rows.map(async ({ id, image, writtenAnew }) => ({
      id,
      image: writtenAnew ? image : ((await pictures.writeAnew(image))?.image ?? null),
    })),
  )
}
