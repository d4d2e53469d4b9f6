import { object, string, type InferType } from 'yup'

/** What an authenticator shows, or a spare code, with or without the gaps that it is read in. */
export const factorCode = () => string().strict().trim().max(40, 'a code has at most 40 letters')

const present = () => string().strict().max(200).required('your present password is missing')

/** Turning it on begins with the password: whoever found a phone open cannot lock its person out. */
export const factorBeginSchema = object({ password: present() }).noUnknown().strict()
export type FactorBegin = InferType<typeof factorBeginSchema>

export const factorConfirmSchema = object({
  code: factorCode().required('type the code that the authenticator shows'),
})
  .noUnknown()
  .strict()
export type FactorConfirm = InferType<typeof factorConfirmSchema>

export const factorEndSchema = object({
  password: present(),
  code: factorCode().required('type a code of the authenticator, or a spare one'),
})
  .noUnknown()
  .strict()
export type FactorEnd = InferType<typeof factorEndSchema>

/** A secret that an authenticator is to hold; it counts once a code of it has come back. */
export interface FactorOffer {
  /** Base32, to be typed where nothing can be scanned. */
  readonly secret: string
  /** The same as an address that an authenticator on this phone opens (Key URI format). */
  readonly uri: string
  /** The same as a QR code: rows of modules, 1 for dark. */
  readonly modules: readonly string[]
}

/** Each lets in once where the authenticator is lost; told once. */
export interface SpareCodes {
  readonly codes: readonly string[]
}

/** Whether somebody is asked for a code, and how many spare ones they have left. */
export interface FactorState {
  readonly isOn: boolean
  readonly spareLeft: number
}

/** A key or a code as it is read out: by fours. */
export const inGroups = (code: string): string => code.replace(/(.{4})(?=.)/g, '$1 ')
