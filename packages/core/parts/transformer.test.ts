import { diagnose } from '../diagnosis/diagnose'
import { Circuit } from '../circuit/circuit'
import { meterValue } from '../circuit/meter'
import { situationOf } from '../circuit/situation'
import { faultsOf } from '../diagram/faults'
import { builtInUnit, builtInUnitIds } from '../units/index'

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

test.each(builtInUnitIds)(
  '%s: with its primary open a transformer gives nothing and draws nothing, on any tap',
  (id) => {
    const diagram = builtInUnit(id)
    for (const transformer of [...diagram.parts.values()].filter(({ kind }) => kind.kind === 'transformer'))
      for (const { id: call } of diagram.calls) {
        const circuit = new Circuit(diagram, situationOf(diagram, call))
        const open = circuit.vary([{ does: 'open', branch: `${transformer.id}/primary` }])
        expect(open.oscillates).toBe(false)
        expect(meterValue(open, 'volts', `${transformer.id}.S1`, `${transformer.id}.S2`)).toBeLessThan(0.1)
      }
  },
)

test('with turns of its secondary shorted it gives their share less, loaded or not', () => {
  const right = withTap('split-heat-pump', '').secondary
  const short = withTap('split-heat-pump', 'XF:secondary-turns-short').secondary
  expect(short / right).toBeCloseTo(0.75, 1)
})

test('19 V with the right volts on its primary are turns shorted or a burnt connection, not the supply', () => {
  const { ranked, model } = diagnose(builtInUnit('split-heat-pump'), {
    complaint: 'not-cooling',
    entries: [
      { kind: 'call', call: 'off' },
      { kind: 'reading', meter: 'volts', from: 'LB.L1', to: 'LB.L2', value: 208, typed: '208' },
      { kind: 'reading', meter: 'volts', from: 'XF.S1', to: 'XF.S2', value: 18, typed: '18' },
    ],
  })
  const leading = ranked.slice(0, 4).map((h) => model.hypotheses[h].id)
  expect(leading).toContain('XF:secondary-turns-short')
  expect(leading.join()).not.toMatch(/SV:|BRI|clip/)
})
