import { and, eq } from 'drizzle-orm'
import type { Database } from '../db/connect'
import { photos } from '../db/schema'
import { notFound, RequestProblem } from '../requests/problem'
import type { Who } from '../requests/signedIn'
import { findVisit } from './visits'

export interface Photo {
  readonly type: string
  readonly image: Buffer
}

/** First bytes of the picture formats that are taken. */
const signatures: readonly (readonly [string, readonly number[]])[] = [
  ['image/jpeg', [0xff, 0xd8, 0xff]],
  ['image/png', [0x89, 0x50, 0x4e, 0x47]],
  ['image/webp', [0x52, 0x49, 0x46, 0x46]],
]

/** Keeps a picture under the identity that the device gave it; sent twice, it is there once. */
export async function storePhoto(
  db: Database,
  who: Who,
  id: string,
  visit: string,
  image: Buffer,
): Promise<void> {
  const type = signatures.find(([, bytes]) => bytes.every((byte, k) => image[k] === byte))?.[0]
  if (!type)
    throw new RequestProblem(422, { error: 'this is no picture that can be kept: send JPEG, PNG or WebP' })
  if (!(await findVisit(db, who.shopId, visit))) throw notFound('this visit')
  await db
    .insert(photos)
    .values({ id, shopId: who.shopId, visitId: visit, personId: who.personId, type, image })
    .onConflictDoNothing()
  const [kept] = await db
    .select({ id: photos.id })
    .from(photos)
    .where(and(eq(photos.id, id), eq(photos.shopId, who.shopId), eq(photos.visitId, visit)))
  if (!kept)
    throw new RequestProblem(409, { error: 'a picture with this id exists elsewhere; take a new id' })
}

export async function findPhoto(db: Database, shopId: string, id: string): Promise<Photo> {
  const [photo] = await db
    .select({ type: photos.type, image: photos.image })
    .from(photos)
    .where(and(eq(photos.id, id), eq(photos.shopId, shopId)))
  if (!photo) throw notFound('this picture')
  return photo
}

export const photosOfVisit = (
  db: Database,
  shopId: string,
  visit: string,
): Promise<readonly (Photo & { readonly id: string })[]> =>
  db
    .select({ id: photos.id, type: photos.type, image: photos.image })
    .from(photos)
    .where(and(eq(photos.visitId, visit), eq(photos.shopId, shopId)))
