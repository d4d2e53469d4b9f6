import { builtInUnit, builtInUnitIds, builtInUnitText } from '../units/index'
import { feedingOf } from './feeding'
import { plateRatings, rate, withPlateUnread } from './plateRatings'
import { readLadder } from './readLadder'

const written = (text: string, part: string, setting: string, value: number | null): string => {
  const edit = rate(text, readLadder(text), part, setting, value)
  if (edit.is === 'problem') throw new Error(edit.message)
  return edit.text
}

test.each(builtInUnitIds)('%s: every rating of its plate is read, forgotten and read again', (id) => {
  const text = builtInUnitText(id)
  const unread = withPlateUnread(text)
  const ratings = plateRatings(builtInUnit(id))
  expect(ratings.length).toBeGreaterThan(4)
  expect(ratings.every(({ isRead }) => isRead)).toBe(true)
  const forgotten = plateRatings(readLadder(unread))
  expect(forgotten.map(({ value }) => value)).toEqual(ratings.map(({ value }) => value))
  expect(forgotten.every(({ isRead }) => !isRead)).toBe(true)
  const again = ratings.reduce((now, { part, setting, value }) => written(now, part, setting, value), unread)
  expect(plateRatings(readLadder(again))).toEqual(ratings)
})

test('amps of a load whose plate nobody has read may be far from what is usual', () => {
  const text = builtInUnitText('rooftop-two-stage')
  const spread = (ladder: string): number => {
    const diagram = readLadder(ladder)
    const wire = diagram.wires.get('CC1.T1-C1.T1')
    if (!wire) throw new Error('no wire to the compressor')
    return feedingOf(diagram, wire).drawn.spread
  }
  const unread = written(text, 'C1', 'amps', null)
  expect(spread(unread)).toBeGreaterThan(2 * spread(text))
  expect(spread(written(unread, 'C1', 'amps', 21.4))).toBe(spread(text))
  expect(
    readLadder(written(unread, 'C1', 'amps', 21.4))
      .parts.get('C1')
      ?.settings.number('amps'),
  ).toBe(21.4)
})

test.each([0, -3, NaN, Infinity])('a rating of %d is refused', (value) => {
  const text = builtInUnitText('rooftop-two-stage')
  expect(rate(text, readLadder(text), 'C1', 'amps', value)).toMatchObject({ is: 'problem' })
})
