import { object, string, type InferType } from 'yup'
import { keepableText } from '@jokulgale/core/visit/entrySchema'
import { factorCode } from './secondFactor'

/**
 * Who may do what: an owner everything, a lead all but people, a technician the work, a reader looks at
 * one site.
 */
export const roles = ['owner', 'lead', 'technician', 'reader'] as const
export type Role = (typeof roles)[number]

const leastLetters = 10
const mostLetters = 200
/** What others try first; length is the rest of the policy (NIST SP 800-63B, 5.1.1.2). */
const commonPasswords: ReadonlySet<string> = new Set([
  '1234567890',
  '12345678910',
  '0123456789',
  '1111111111',
  '0000000000',
  'passwordpassword',
  'password123',
  'password1234',
  'password12',
  'qwertyuiop',
  'qwerty12345',
  'qwerty123456',
  '1q2w3e4r5t',
  '1qaz2wsx3edc',
  'abcdefghij',
  'iloveyou123',
  'letmein123',
  'administrator',
  'welcome123',
  'welcome1234',
  'changeme123',
  'thermostat',
])

const password = () =>
  string()
    .strict()
    .min(leastLetters, `a password has at least ${leastLetters} letters`)
    .max(mostLetters, `a password has at most ${mostLetters} letters`)
    .test('not common', 'everybody tries this one first; take another', (value) =>
      value === undefined ? true : !commonPasswords.has(value.toLowerCase()),
    )
    .required('password is missing')
const email = () =>
  string().strict().trim().email('email must look like name@place').max(200).required('email is missing')
const text = (what: string) =>
  string()
    .strict()
    .trim()
    .max(200, `${what}: at most 200 letters`)
    .required(`${what} is missing`)
    .test(...keepableText)

/** The first start: a shop, and who owns it. */
export const newShopSchema = object({
  shop: text('the name of the shop'),
  name: text('your name'),
  email: email(),
  password: password(),
})
  .noUnknown()
  .strict()
export type NewShop = InferType<typeof newShopSchema>

export const invitationSchema = object({
  name: text('name'),
  email: email(),
  role: string()
    .strict()
    .oneOf(roles, `role is one of ${roles.join(', ')}`)
    .required('role is missing'),
  /** Of a reader only; empty for everybody else. */
  site: string()
    .strict()
    .max(40)
    .default('')
    .when('role', {
      is: 'reader',
      then: (site) => site.uuid('site must be a UUID').required('say which site a reader may see'),
    }),
})
  .noUnknown()
  .strict()
export type Invitation = InferType<typeof invitationSchema>

/** What whoever opens a link chooses. */
export const linkUseSchema = object({ password: password(), code: factorCode().default('') })
  .noUnknown()
  .strict()
export type LinkUse = InferType<typeof linkUseSchema>

export const passwordChangeSchema = object({
  before: string().strict().max(mostLetters).required('your present password is missing'),
  password: password(),
})
  .noUnknown()
  .strict()
export type PasswordChange = InferType<typeof passwordChangeSchema>

/** The number that a technician is licensed by, as the report prints it; empty for none. */
export const licenceSchema = object({
  licence: string()
    .strict()
    .trim()
    .max(60, 'licence: at most 60 letters')
    .defined()
    .test(...keepableText),
})
  .noUnknown()
  .strict()
export type Licence = InferType<typeof licenceSchema>

export const roleChangeSchema = object({
  role: string()
    .strict()
    .oneOf(roles, `role is one of ${roles.join(', ')}`)
    .required('role is missing'),
  site: string().strict().uuid('site must be a UUID'),
})
  .noUnknown()
  .strict()
export type RoleChange = InferType<typeof roleChangeSchema>

/** A link as it is shown to whoever opens it. */
export interface OpenLink {
  readonly shop: string
  readonly name: string
  readonly email: string
  readonly is: 'invitation' | 'new-password'
  /** Whoever it is for has a second factor: a new password alone does not let them in. */
  readonly needsCode: boolean
  readonly expiresAt: string
}

/** The address of a link, told once, and until when it is good. */
export interface Link {
  readonly path: string
  readonly expiresAt: string
}

/** A link just made, to be handed on. */
export interface MadeLink extends Link {
  /** Where another for the same goes by letter; null: there is no post. */
  readonly mailedTo: string | null
}

/** Whoever has forgotten their password, by the e-mail that they say is theirs. */
export const forgottenSchema = object({ email: email() }).noUnknown().strict()
export type Forgotten = InferType<typeof forgottenSchema>

const erasedDomain = '@erased.invalid'
/** What stands in the place of the e-mail of somebody whose name was replaced; nobody can sign in with it. */
export const erasedEmail = (id: string): string => `${id}${erasedDomain}`
export const isErased = ({ email: given }: { readonly email: string }): boolean =>
  given.endsWith(erasedDomain)

export interface ShopPerson {
  readonly id: string
  readonly name: string
  readonly email: string
  readonly role: Role
  readonly site: string | null
  readonly hasSecondFactor: boolean
  readonly closed: boolean
}

/** A device that somebody is signed in on. */
export interface SignedInDevice {
  readonly id: string
  readonly words: string
  readonly since: string
  readonly isThis: boolean
}

/** What anybody may know before signing in. */
export interface FrontDoor {
  /** Nobody has a shop here yet: the first person makes it. */
  readonly isFirst: boolean
  /** The accounts of the demonstration are open to everybody. */
  readonly isDemo: boolean
  /** A link for a forgotten password can come by mail. */
  readonly hasPost: boolean
}
