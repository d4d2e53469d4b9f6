import { createSlice, original, type PayloadAction } from '@reduxjs/toolkit'
import { merge } from '@jokulgale/core/visit/log'
import type { KeptEntry, KeptVisit } from '../sync/device'

interface VisitsState {
  readonly visits: Readonly<Record<string, KeptVisit>>
  readonly logs: Readonly<Record<string, readonly KeptEntry[]>>
  readonly online: boolean
  /** What the device could not keep, in words; empty while it keeps everything. */
  readonly cannotKeep: string
  /** Why the server takes nothing just now, in its words; empty while it does. */
  readonly serverTrouble: string
}

const initialState: VisitsState = { visits: {}, logs: {}, online: true, cannotKeep: '', serverTrouble: '' }

/** Visits and their logs as this device has them; entries are only ever added, or marked as sent. */
export const visitsSlice = createSlice({
  name: 'visits',
  initialState,
  reducers: {
    visitKept: (state, { payload }: PayloadAction<KeptVisit>) => ({
      ...state,
      visits: { ...state.visits, [payload.id]: payload },
    }),
    entriesKept: (state, { payload }: PayloadAction<readonly KeptEntry[]>): VisitsState => {
      const logs: Record<string, readonly KeptEntry[]> = { ...original(state)?.logs }
      for (const visit of new Set(payload.map((entry) => entry.visit))) {
        const own = payload.filter((entry) => entry.visit === visit)
        logs[visit] = merge(logs[visit] ?? [], own)
      }
      return { ...(original(state) ?? initialState), logs }
    },
    reachable: (state, { payload }: PayloadAction<boolean>) => {
      state.online = payload
      state.serverTrouble = ''
    },
    serverTroubled: (state, { payload }: PayloadAction<string>) => {
      state.serverTrouble = payload
    },
    deviceKept: (state, { payload }: PayloadAction<string>) => {
      state.cannotKeep = payload
    },
    visitsForgotten: () => initialState,
  },
})

export const { visitKept, entriesKept, reachable, deviceKept, serverTroubled, visitsForgotten } =
  visitsSlice.actions
