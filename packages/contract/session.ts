import { object, string, type InferType } from 'yup'
import type { Role } from './people'
import { factorCode } from './secondFactor'

export const signInSchema = object({
  email: string()
    .strict()
    .trim()
    .email('email must look like name@place')
    .max(200)
    .required('email is missing'),
  password: string().strict().max(200).required('password is missing'),
  /** Of somebody who has a second factor; missing, it is asked for. */
  code: factorCode().default(''),
})
  .noUnknown()
  .strict()
export type SignIn = InferType<typeof signInSchema>
/** The same as it is asked with: no code before one is asked for. */
export type Credentials = Omit<SignIn, 'code'> & Partial<Pick<SignIn, 'code'>>

export interface Person {
  readonly id: string
  readonly name: string
  readonly email: string
  readonly role: Role
  /** The one site that a reader may see. */
  readonly site: string | null
  readonly shop: { readonly id: string; readonly name: string }
}

/** Lets a device send what is unsent in somebody's name, and nothing else. */
export interface SendCredential {
  readonly token: string
}
