import { randomBytes } from 'node:crypto'
import { and, eq, isNotNull, isNull, lt, sql } from 'drizzle-orm'
import { Secret, TOTP } from 'otpauth'
import { create } from 'qrcode'
import {
  inGroups,
  type FactorEnd,
  type FactorOffer,
  type FactorState,
  type SpareCodes,
} from '@jokulgale/contract/secondFactor'
import type { Database } from '../db/connect'
import { ofShop } from '../db/ofShop'
import { secondFactors } from '../db/schema'
import { RequestProblem } from '../requests/problem'
import { hashedToken } from '../requests/sender'
import type { Who, Whose } from '../requests/signedIn'
import { personOfShop, requirePassword } from './people'
import { noteSecurity } from './security'

type Reading = Pick<Database, 'select'>
type Changing = Pick<Database, 'select' | 'update' | 'insert'>

const issuer = 'Jokulgale'
/** As every authenticator does by default (RFC 6238): six digits, thirty seconds, SHA-1 of 160 bits. */
const periodSeconds = 30
const secretBytes = 20
/** A clock may be one step off. */
const stepsOff = 1
const spareCount = 8
const spareBytes = 5

const authenticator = (secret: string, label = ''): TOTP =>
  new TOTP({ issuer, label, secret: Secret.fromBase32(secret), period: periodSeconds })

const isOf = ({ personId, shopId }: Whose) =>
  ofShop(secondFactors, shopId, eq(secondFactors.personId, personId))

/** The second factor of somebody, confirmed or begun; none where there is none. */
async function factorOf(db: Reading, whose: Whose) {
  const [factor] = await db.select().from(secondFactors).where(isOf(whose))
  return factor
}

export async function factorState(db: Reading, whose: Whose): Promise<FactorState> {
  const factor = await factorOf(db, whose)
  const isOn = factor !== undefined && factor.confirmedAt !== null
  return { isOn, spareLeft: isOn ? factor.spareHashes.length : 0 }
}

/**
 * Begins one, with the password; nothing is asked for until a code has come back. Throws RequestProblem
 * (409, 422).
 */
export async function beginFactor(db: Database, who: Whose, password: string): Promise<FactorOffer> {
  await requirePassword(db, who, password, 'password')
  const secret = new Secret({ size: secretBytes }).base32
  const begun = await db
    .insert(secondFactors)
    .values({ personId: who.personId, shopId: who.shopId, secret })
    .onConflictDoUpdate({
      target: secondFactors.personId,
      set: { secret, lastStep: 0, spareHashes: [] },
      setWhere: isNull(secondFactors.confirmedAt),
    })
    .returning({ id: secondFactors.personId })
  if (begun.length === 0)
    throw new RequestProblem(409, { error: 'a second factor is on already; turn it off first' })
  const { email } = await personOfShop(db, who.shopId, who.personId)
  const uri = authenticator(secret, email).toString()
  return { secret, uri, modules: modulesOf(uri) }
}

function modulesOf(uri: string): readonly string[] {
  const { modules } = create(uri, { errorCorrectionLevel: 'M' })
  return Array.from({ length: modules.size }, (_, row) =>
    Array.from({ length: modules.size }, (__, column) => (modules.get(row, column) ? '1' : '0')).join(''),
  )
}

/** Turns it on with a first code, and gives the spare ones. Throws RequestProblem (409, 422). */
export async function confirmFactor(db: Database, who: Whose, code: string): Promise<SpareCodes> {
  const factor = await factorOf(db, who)
  if (!factor || factor.confirmedAt !== null)
    throw new RequestProblem(409, { error: 'there is nothing to confirm; begin anew' })
  const step = stepOf(factor.secret, code)
  if (step === null) throw wrongCode(422)
  const codes = Array.from({ length: spareCount }, () => new Secret({ buffer: spareBuffer() }).base32)
  await db.transaction(async (transaction) => {
    await transaction
      .update(secondFactors)
      .set({ confirmedAt: sql`now()`, lastStep: step, spareHashes: codes.map(hashedToken) })
      .where(isOf(who))
    await noteSecurity(transaction, who, 'second-factor-on')
  })
  return { codes: codes.map(inGroups) }
}

const spareBuffer = (): ArrayBuffer => Uint8Array.from(randomBytes(spareBytes)).buffer

/** Turns one's own off, with password and a code. Throws RequestProblem (401, 422). */
export async function endFactor(db: Database, who: Whose, { password, code }: FactorEnd): Promise<void> {
  await requirePassword(db, who, password, 'password')
  await requireCode(db, who, code)
  await dropFactor(db, who)
  await noteSecurity(db, who, 'second-factor-off')
}

/** By the owner, for somebody who has lost their authenticator. Throws RequestProblem (404). */
export async function endFactorOf(db: Database, who: Who, personId: string): Promise<void> {
  const { email } = await personOfShop(db, who.shopId, personId)
  await dropFactor(db, { shopId: who.shopId, personId })
  await noteSecurity(db, who, 'second-factor-off', email)
}

const dropFactor = async (db: Database, whose: Whose): Promise<void> => {
  await db.delete(secondFactors).where(isOf(whose))
}

/**
 * Lets whoever has a second factor pass only with a code of it that was not used before, or a spare one.
 * Throws RequestProblem (401) at the field `code`.
 */
export async function requireCode(db: Changing, whose: Whose, code = ''): Promise<void> {
  const factor = await factorOf(db, whose)
  if (!factor || factor.confirmedAt === null) return
  if (code === '')
    throw new RequestProblem(401, {
      error: 'one more step',
      fields: [{ field: 'code', message: 'type the code that your authenticator shows' }],
    })
  const step = stepOf(factor.secret, code)
  const isGood = step === null ? await takeSpare(db, whose, code) : await takeStep(db, whose, step)
  if (!isGood) throw wrongCode(401)
}

const wrongCode = (status: number): RequestProblem =>
  new RequestProblem(status, {
    error: 'this code does not let anybody in',
    fields: [{ field: 'code', message: 'wrong, run out, or used already: wait for the next one' }],
  })

/** The time step that a code is of; null where it is of none about now. */
function stepOf(secret: string, code: string): number | null {
  const delta = authenticator(secret).validate({ token: code.replace(/\s/g, ''), window: stepsOff })
  return delta === null ? null : Math.floor(Date.now() / 1000 / periodSeconds) + delta
}

/** Each step lets in once, whichever server is asked. */
async function takeStep(db: Changing, whose: Whose, step: number): Promise<boolean> {
  const used = await db
    .update(secondFactors)
    .set({ lastStep: step })
    .where(and(isOf(whose), isNotNull(secondFactors.confirmedAt), lt(secondFactors.lastStep, step)))
    .returning({ id: secondFactors.personId })
  return used.length > 0
}

async function takeSpare(db: Changing, whose: Whose, code: string): Promise<boolean> {
  const hash = hashedToken(code.replace(/[\s-]/g, '').toUpperCase())
  const used = await db
    .update(secondFactors)
    .set({ spareHashes: sql`${secondFactors.spareHashes} - ${hash}::text` })
    .where(and(isOf(whose), sql`${secondFactors.spareHashes} @> ${JSON.stringify([hash])}::jsonb`))
    .returning({ id: secondFactors.personId })
  if (used.length > 0) await noteSecurity(db, whose, 'spare-code-used')
  return used.length > 0
}
