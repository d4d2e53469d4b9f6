import { object, string, type InferType } from 'yup'
import type { Role } from './people'

export const signInSchema = object({
  email: string()
    .strict()
    .trim()
    .email('email must look like name@place')
    .max(200)
    .required('email is missing'),
  password: string().strict().max(200).required('password is missing'),
})
  .noUnknown()
  .strict()
export type SignIn = InferType<typeof signInSchema>

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
