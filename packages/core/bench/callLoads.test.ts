import { builtInUnit, builtInUnitIds } from '../units/index'
import { callLoads } from './callLoads'

const barsOf = (id: string) => {
  const unit = builtInUnit(id)
  const part = [...unit.parts.values()].find(({ kind }) => kind.fullLoadAmps)
  const picture = part && callLoads(unit, part)
  return picture?.is === 'bars' ? picture : null
}

test.each(builtInUnitIds)(
  '%s: what a call takes is within the rating, and what it reaches is no less',
  (id) => {
    const picture = barsOf(id)
    // a unit controlled at line voltage has no transformer
    if (!picture) return
    for (const { words, holds, peaks } of picture.bars) {
      expect([words, holds <= picture.limit]).toEqual([words, true])
      expect(peaks).toBeGreaterThanOrEqual(holds)
    }
  },
)

test('two contactors that pull in at once ask for four times their holding more', () => {
  const two = barsOf('package-proving')?.bars.find(({ words }) => words === 'Cooling, both stages')
  const one = barsOf('package-proving')?.bars.find(({ words }) => words === 'Cooling, first stage')
  if (!two || !one) throw new Error('a call is missing')
  // the second compressor's contactor of 8 VA: 8 more to hold, and 4 × 8 for the moment
  expect(two.peaks - two.holds - (one.peaks - one.holds)).toBeCloseTo(4 * 8, 0)
})

test('a part that feeds nothing has no bars', () => {
  const unit = builtInUnit('package-proving')
  const contactor = unit.parts.get('CC1')
  expect(contactor && callLoads(unit, contactor)).toBeUndefined()
})
