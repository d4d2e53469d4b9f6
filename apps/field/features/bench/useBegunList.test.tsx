import { act, renderHook, waitFor } from '@testing-library/react-native'
import { useBegunList } from './useBegunList'

const mockKept = new Map<string, unknown>()
jest.mock('../sync/device', () => ({
  readFact: (name: string) => Promise.resolve(mockKept.get(name)),
  writeFact: (name: string, value: unknown) => {
    mockKept.set(name, value)
    return Promise.resolve()
  },
}))

beforeEach(() => {
  mockKept.clear()
})

test('a list that was left half done is there when it is opened again, and each part has its own', async () => {
  const first = renderHook(() => useBegunList('visit-1 water-path DRN'))
  act(() => {
    first.result.current.keep({ pan: 'wrong', trap: 'right' })
  })
  await waitFor(() => {
    expect(mockKept.get('lists')).toEqual({ 'visit-1 water-path DRN': { pan: 'wrong', trap: 'right' } })
  })
  first.unmount()
  const again = renderHook((name: string) => useBegunList(name), {
    initialProps: 'visit-1 water-path DRN',
  })
  await waitFor(() => {
    expect(again.result.current.answers).toEqual({ pan: 'wrong', trap: 'right' })
  })
  again.rerender('visit-1 water-path DRN2')
  await waitFor(() => {
    expect(again.result.current.answers).toEqual({})
  })
})

test('what was found is forgotten once it is in the visit', async () => {
  const { result } = renderHook(() => useBegunList('visit-1 water-path'))
  act(() => {
    result.current.keep({ pan: 'right' })
  })
  await waitFor(() => {
    expect(mockKept.get('lists')).toEqual({ 'visit-1 water-path': { pan: 'right' } })
  })
  act(() => {
    result.current.keep({})
  })
  await waitFor(() => {
    expect(mockKept.get('lists')).toEqual({})
  })
})

test('without a visit nothing is kept on the device', async () => {
  const { result } = renderHook(() => useBegunList(null))
  act(() => {
    result.current.keep({ pan: 'right' })
  })
  await waitFor(() => {
    expect(result.current.answers).toEqual({ pan: 'right' })
  })
  expect(mockKept.size).toBe(0)
})
