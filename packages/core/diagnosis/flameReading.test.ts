import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { judge } from './diagnose'
import { flameDensity } from './flameReading'

test('of what a flame may read, all probability is spread and no more', () => {
  const step = 0.002
  for (const predicted of [0, 0.4, 2, 4]) {
    let whole = 0
    for (let value = -1; value < 60; value += step)
      if (value >= 0 || predicted < 1) whole += step * flameDensity(value, predicted)
    expect(whole).toBeGreaterThan(0.95)
    expect(whole).toBeLessThan(1.03)
  }
})

const unit = builtInUnit('unit-heater')
const read = (value: number): EntryBody => ({
  kind: 'reading',
  meter: 'microamps',
  from: 'IC.FS',
  to: 'FR.1',
  value,
})
const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })

/** Share of some suspects where heat is called for, and none comes. */
function shareOf(ids: readonly string[], ...entries: readonly EntryBody[]): number {
  const { model, belief } = judge(unit, {
    complaint: 'no-heat',
    entries: [{ kind: 'call', call: 'heat1' }, ...entries],
  })
  return model.hypotheses.reduce((sum, { id }, h) => sum + (ids.includes(id) ? belief.probability[h] : 0), 0)
}

test('a weak flame speaks for the rod, none for what keeps it from burning; a strong one clears it', () => {
  const rod = ['FR:dirty']
  const before = shareOf(rod)
  for (const value of [0.3, 0.6]) expect(shareOf(rod, read(value))).toBeGreaterThan(5 * before)
  expect(shareOf(rod, read(0))).toBeGreaterThan(0.8 * before)
  for (const value of [2, 4, 7]) expect(shareOf(rod, read(value))).toBeLessThan(before / 5)
})

test('what lights nothing is not met with a burner that is lit, nor with a flame’s current', () => {
  const igniting = ['IGN:element-open', 'IGN:aged', 'IC:igniter-open']
  const before = shareOf(igniting)
  expect(shareOf(igniting, seen('IGN', 'lit'))).toBeLessThan(before / 3)
  expect(shareOf(igniting, read(4))).toBeLessThan(before / 3)
  expect(shareOf(['FR:dirty'], seen('IGN', 'lit'))).toBeGreaterThan(1.2 * shareOf(['FR:dirty']))
})
