import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Person } from '@jokulgale/contract/session'

export type Session =
  { readonly is: 'unknown' } | { readonly is: 'out' } | { readonly is: 'in'; readonly person: Person }

const initialState = { is: 'unknown' } as Session

/** Who is signed in on this device. */
export const sessionSlice = createSlice({
  name: 'session',
  initialState,
  reducers: {
    signedIn: (_state, { payload }: PayloadAction<Person>): Session => ({ is: 'in', person: payload }),
    signedOut: (): Session => ({ is: 'out' }),
  },
})

export const { signedIn, signedOut } = sessionSlice.actions
