import { act, renderHook, waitFor } from '@testing-library/react-native'
import { usePlanIsolation } from './usePlanIsolation'

const mockKept = new Map<string, unknown>()
jest.mock('../sync/device', () => ({
  readFact: (name: string) => Promise.resolve(mockKept.get(name)),
  writeFact: (name: string, value: unknown) => {
    mockKept.set(name, value)
    return Promise.resolve()
  },
}))

const off = [{ kind: 'power', is: 'isolated' } as const]
const hour = 3_600_000

beforeEach(() => {
  mockKept.clear()
})

test('what was proven dead for a plan outlives the screen, for that plan alone', async () => {
  const first = renderHook(() => usePlanIsolation('plan-1'))
  act(() => {
    first.result.current.keep(off)
  })
  await waitFor(() => {
    expect(mockKept.get('isolations')).toMatchObject({ 'plan-1': { entries: off } })
  })
  first.unmount()
  const again = renderHook(() => usePlanIsolation('plan-1'))
  await waitFor(() => {
    expect(again.result.current.isolated?.entries).toEqual(off)
  })
  const other = renderHook(() => usePlanIsolation('plan-2'))
  await waitFor(() => {
    expect(other.result.current.isolated).toBeNull()
  })
})

test('after a shift, or when it was switched on since, it is to be proven anew', async () => {
  mockKept.set('isolations', {
    old: { at: Date.now() - 13 * hour, entries: off },
    now: { at: Date.now() - hour, entries: off },
  })
  const old = renderHook(() => usePlanIsolation('old'))
  const now = renderHook(() => usePlanIsolation('now'))
  await waitFor(() => {
    expect(now.result.current.isolated?.entries).toEqual(off)
  })
  expect(old.result.current.isolated).toBeNull()
  act(() => {
    now.result.current.forget()
  })
  expect(now.result.current.isolated).toBeNull()
  await waitFor(() => {
    expect(Object.keys(mockKept.get('isolations') ?? {})).toEqual(['old'])
  })
})
