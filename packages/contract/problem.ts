/** What the server says when a request cannot be taken: each field with what is wrong with it. */
export interface Problem {
  readonly error: string
  readonly fields?: readonly { readonly field: string; readonly message: string }[]
}
