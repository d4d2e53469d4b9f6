import { act, renderHook } from '@testing-library/react-native'
import { builtInUnitText } from '@jokulgale/core/units/index'
import { sketchOf } from '@jokulgale/core/diagnosis/sketch'
import { useSketch } from './useSketch'

/** Texts that the worker was asked about, and how it answers the one that it has. */
const asked: string[] = []
let answer: (given: unknown) => void = () => undefined
jest.mock('../../workers/diagnosis', () => ({
  diagnosisService: () => ({
    sketch: (ladder: string) => {
      asked.push(ladder)
      return new Promise((resolve) => {
        answer = resolve
      })
    },
  }),
}))

const text = builtInUnitText('fan-coil-two-pipe')
const rest = async (ms: number): Promise<void> => {
  await act(() => jest.advanceTimersByTimeAsync(ms))
}
const answered = async (given: unknown): Promise<void> => {
  await act(async () => {
    answer(given)
    await jest.advanceTimersByTimeAsync(0)
  })
}
const begin = () =>
  renderHook(({ typed }: { readonly typed: string }) => useSketch(typed, ''), {
    initialProps: { typed: text },
  })
const wrong = { is: 'problems', problems: [{ line: 2, message: 'what is this?' }] }

beforeEach(() => {
  jest.useFakeTimers()
  asked.length = 0
})
afterEach(() => {
  jest.useRealTimers()
})

test('one text at a time is with the worker, and after it the last that was typed', async () => {
  const { rerender, result } = begin()
  await rest(50)
  for (const more of ['#a', '#ab', '#abc']) {
    rerender({ typed: `${text}${more}` })
    await rest(50)
  }
  expect(asked).toEqual([text])
  await answered({ is: 'sketch', sketch: sketchOf(text, '') })
  expect(asked).toEqual([text, `${text}#abc`])
  expect(result.current.sketch?.title).toMatch(/Two-pipe/)
})

test('what is wrong in a text is said when nothing was typed for a while, and the last drawing stays', async () => {
  const { rerender, result } = begin()
  await rest(50)
  await answered({ is: 'sketch', sketch: sketchOf(text, '') })
  rerender({ typed: `${text}par` })
  await rest(50)
  await answered(wrong)
  expect(result.current.problems).toEqual([])
  rerender({ typed: `${text}part` })
  await rest(300)
  await answered(wrong)
  await rest(200)
  expect(result.current.problems).toEqual([])
  await rest(300)
  expect(result.current.problems).toEqual(wrong.problems)
  expect(result.current.sketch?.title).toMatch(/Two-pipe/)
})
