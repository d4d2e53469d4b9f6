import { builtInUnit } from '../units/index'
import { judge } from './diagnose'
import { storyOf } from './story'
import { stripsOf } from './strip'

const stripsAfter = (...typed: readonly (readonly [point: string, typed: string])[]) =>
  stripsOf(
    judge(builtInUnit('package-proving'), {
      complaint: 'second-stage-never',
      entries: [
        { kind: 'call', call: 'cool2' },
        ...typed.map(
          ([from, each]) =>
            ({ kind: 'reading', meter: 'volts', from, value: Number(each), typed: each }) as const,
        ),
      ],
    }),
  )

test('a reading stands at its stop in the digits it was typed in, and so it does in the story', () => {
  const strips = stripsAfter(['PB2.K', '28'], ['LPS2.2', '0'], ['HPS2.1', '0.4'])
  const shown = (point: string) =>
    strips.flatMap(({ stops }) => stops).find((stop) => stop.point === point)?.measured?.words
  expect(['PB2.K', 'LPS2.2', 'HPS2.1', 'CC2.A1'].map(shown)).toEqual(['28 V', '0 V', '0.4 V', undefined])
  expect(storyOf(strips)).toBe('28 V at PB2.K, 0 V at LPS2.2: it stops between these two.')
})

test('the newest reading of a stop is the one that counts', () => {
  const stop = stripsAfter(['LPS2.1', '2.6'], ['LPS2.1', '26'])
    .flatMap(({ stops }) => stops)
    .find(({ point }) => point === 'LPS2.1')
  expect(stop?.measured).toEqual({ volts: 26, words: '26 V' })
  expect(stop?.state).toBe('live')
})
