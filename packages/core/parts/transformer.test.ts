import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { faultsOf } from '../diagram/faults'
import { builtInUnit } from '../units/index'

const withTap = (id: string, fault: string) => {
  const unit = builtInUnit(id)
  const settled = new Circuit(unit, situationOf(unit, 'fan')).vary(
    faultsOf(unit).find((each) => each.id === fault)?.effects ?? [],
  )
  const state = (link: string) => settled.states[settled.circuit.network.linkNumbers.get(link) ?? -1]
  return { state, secondary: meterValue(settled, 'volts', 'XF.S1', 'XF.S2') ?? NaN }
}

test('480 V on the 240 V tap saturates the iron and opens the primary fuses, instead of twice 24 V', () => {
  const { state, secondary } = withTap('air-handler-heat', 'XF:on-P240')
  expect(state('PF/fuse1')).toBe('open')
  expect(secondary).toBeLessThan(1)
})

test('208 V on the 240 V tap is only low: 208/240 of what the right tap gives', () => {
  const wrong = withTap('rooftop-two-stage', 'XF:on-P240')
  const right = withTap('rooftop-two-stage', '')
  expect(wrong.state('XF/iron')).toBe('usual')
  expect(wrong.secondary / right.secondary).toBeCloseTo(208 / 240, 1)
})
