import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { flameDensity } from './flameReading'
import { judge } from './diagnose'

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

test('a weak flame speaks for the rod, as for all that keeps a flame from being proven; a strong one clears it', () => {
  const unit = builtInUnit('rooftop-two-stage')
  const read = (value: number): EntryBody => ({
    kind: 'reading',
    meter: 'microamps',
    from: 'IC.FS',
    to: 'FR.1',
    value,
  })
  const ofRod = (...entries: readonly EntryBody[]): number => {
    const { model, belief } = judge(unit, {
      complaint: 'no-heat',
      entries: [{ kind: 'call', call: 'heat1' }, ...entries],
    })
    return belief.probability[model.hypotheses.findIndex(({ id }) => id === 'FR:dirty')]
  }
  const before = ofRod()
  for (const value of [0, 0.3, 0.6]) expect(ofRod(read(value))).toBeGreaterThan(before)
  for (const value of [2, 4, 7]) expect(ofRod(read(value))).toBeLessThan(before / 5)
})
