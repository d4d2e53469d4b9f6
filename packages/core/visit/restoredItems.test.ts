import { builtInUnit } from '../units/index'
import { restoredItems } from './restoredItems'

const itemsOf = (unit: string): readonly string[] => restoredItems(builtInUnit(unit)).map(({ id }) => id)

test('a damper is put back where there is one, and a drain', () => {
  expect(itemsOf('rooftop-enthalpy')).toEqual(expect.arrayContaining(['fuses', 'drain', 'damper', 'panels']))
  expect(itemsOf('package-heat-pump')).not.toContain('damper')
})

test('each is to be ticked once, however many parts ask for it', () => {
  for (const unit of ['rooftop-two-stage', 'fan-coil-hydronic', 'air-handler-drive'])
    expect(new Set(itemsOf(unit)).size).toBe(itemsOf(unit).length)
})
