import { builtInUnit } from '../units/index'
import { complaintChance } from './complaint'
import { modelOf } from './diagnose'

const chanceOf = (unit: string, complaint: string, id: string): number => {
  const model = modelOf(builtInUnit(unit))
  const h = model.hypotheses.findIndex((each) => each.id === id)
  if (h < 0) throw new Error(`${unit} has no ${id}`)
  return complaintChance(model, complaint, h)
}

test('heat goes with the square of the amps: an element on its frame, with its fuse gone, leaves a third of it', () => {
  // two of the three elements at 120 V instead of 208: 58 % of their amps, 33 % of their heat
  expect(chanceOf('package-proving', 'no-heat', 'HB1:1-grounded')).toBe(1)
  expect(chanceOf('package-proving', 'no-heat', 'HF1:fuse1-open')).toBe(1)
  expect(chanceOf('package-proving', 'no-heat', 'HB1:element1-open')).toBe(1)
})

test('what leaves most of the heat is no reason to call', () => {
  expect(chanceOf('package-proving', 'no-heat', 'CC1:pole1-open')).toBeLessThan(0.1)
})
