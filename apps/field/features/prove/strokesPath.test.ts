import { strokesPath } from './strokesPath'

test('strokes are scaled to the field, a dot is a stroke too', () => {
  const strokes = [
    [
      { x: 0, y: 0 },
      { x: 150, y: 50 },
    ],
    [{ x: 300, y: 100 }],
  ]
  expect(strokesPath(strokes, 300, 100)).toBe('M 0 0 L 300 100 M 600 200 L 600 200')
})

test('nothing drawn is nothing', () => {
  expect(strokesPath([], 300, 100)).toBe('')
  expect(strokesPath([[]], 300, 100)).toBe('')
})

test('the longest signature fits the record, and keeps both of its ends', () => {
  const stroke = Array.from({ length: 20_000 }, (_, k) => ({ x: k % 600, y: k % 200 }))
  const path = strokesPath([stroke], 600, 200)
  expect(path.length).toBeLessThan(40_000)
  expect(path.startsWith('M 0 0 ')).toBe(true)
  expect(path.endsWith(` L ${19_999 % 600} ${19_999 % 200}`)).toBe(true)
})
