import type { AppStore } from '../store'
import { deviceKept } from '../visit/visitsSlice'

const cannotKeep =
  'This device can keep no more: the last thing said is not kept. Free some space on it, then say it again.'

/**
 * Waits for something to be written on the device, and says aloud where the device cannot. What is not kept is never shown
 * as if it were. Throws what the device threw.
 */
export const keepingAloud =
  (store: AppStore) =>
  async (written: Promise<void>): Promise<void> => {
    try {
      await written
    } catch (error) {
      store.dispatch(deviceKept(cannotKeep))
      throw error
    }
    if (store.getState().visits.cannotKeep !== '') store.dispatch(deviceKept(''))
  }
