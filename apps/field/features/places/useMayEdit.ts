import { useAppSelector } from '../store'

/** Whether whoever is signed in may change sites and units: everybody but a reader. */
export const useMayEdit = (): boolean =>
  useAppSelector(({ session }) => session.is === 'in' && session.person.role !== 'reader')
