import { act, screen } from '@testing-library/react-native'
import { signedIn, signedOut } from '../session/sessionSlice'
import { createAppStore } from '../store'
import { renderInApp } from '../testApp'
import { deviceKept, entriesKept, reachable, serverTroubled } from '../visit/visitsSlice'
import type { KeptEntry } from './device'
import { UnsentNote } from './UnsentNote'

const person = {
  id: 'nell',
  name: 'Nell',
  email: 'nell@gannet.example',
  role: 'technician',
  site: null,
  shop: { id: 'shop', name: 'Shop' },
} as const
const entry = (id: string, over: Partial<KeptEntry> = {}): KeptEntry => ({
  id,
  visit: 'visit',
  clock: { wall: 1, counter: 0, device: 'd' },
  by: 'nell',
  body: { kind: 'arrived' },
  sent: false,
  ...over,
})

/** What the note says once a store has been told these things. */
function noteAfter(tell: (store: ReturnType<typeof createAppStore>) => void): string {
  const store = createAppStore()
  store.dispatch(signedIn(person))
  tell(store)
  renderInApp(<UnsentNote />, store)
  return screen
    .queryAllByText(/./)
    .map(({ props }) => String(props.children))
    .join(' ')
}

test('with everything sent and a signal there is nothing to say', () => {
  expect(noteAfter(() => undefined)).toBe('')
})

test('with no signal it counts what waits, and says that nothing is lost where nothing does', () => {
  expect(noteAfter((store) => store.dispatch(reachable(false)))).toMatch(/No signal. Everything stays/)
  const waiting = noteAfter((store) => {
    store.dispatch(reachable(false))
    store.dispatch(entriesKept([entry('a'), entry('b')]))
  })
  expect(waiting).toMatch(/2 entries on this device, not sent yet/)
})

test('what is only on its way is not spoken of, until it has stayed', () => {
  jest.useFakeTimers()
  try {
    expect(noteAfter((store) => store.dispatch(entriesKept([entry('a')])))).toBe('')
    act(() => {
      jest.advanceTimersByTime(2500)
    })
    expect(screen.getByText(/1 entry on this device, not sent yet/)).toBeTruthy()
  } finally {
    jest.useRealTimers()
  }
})

test('once somebody has signed out it says how the rest goes, and what becomes of it', () => {
  const words = noteAfter((store) => {
    store.dispatch(reachable(false))
    store.dispatch(entriesKept([entry('a')]))
    store.dispatch(signedOut())
  })
  expect(words).toMatch(/they go by themselves, and are then cleared here/)
})

test('worse comes first: a device that keeps no more, a server with no room, an entry that is refused', () => {
  const refused = entry('a', { refused: 'point “X” is not on this unit' })
  expect(noteAfter((store) => store.dispatch(entriesKept([refused])))).toMatch(
    /will not take an entry: point “X”/,
  )
  const full = noteAfter((store) => {
    store.dispatch(entriesKept([refused]))
    store.dispatch(serverTroubled('the server’s disk is full'))
  })
  expect(full).toMatch(/disk is full/)
  const both = noteAfter((store) => {
    store.dispatch(serverTroubled('the server’s disk is full'))
    store.dispatch(deviceKept('This device can keep no more'))
  })
  expect(both).toMatch(/can keep no more/)
  expect(both).not.toMatch(/disk is full/)
})
