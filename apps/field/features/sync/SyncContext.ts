import { createContext, useContext } from 'react'
import type { Sync } from './sync'

const SyncContext = createContext<Sync | null>(null)
export const SyncProvider = SyncContext.Provider

/** The device's link to the server. */
export function useSync(): Sync {
  const sync = useContext(SyncContext)
  if (!sync) throw new Error('useSync outside of its provider')
  return sync
}
