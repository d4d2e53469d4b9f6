import { faultsOf } from '../diagram/faults'
import { judge } from '../diagnosis/diagnose'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { lookChoices } from './lookWords'

test.each(builtInUnitIds)(
  '%s: every mark that a look offers is one that a fault of the part leaves',
  (id) => {
    const diagram = builtInUnit(id)
    const faults = faultsOf(diagram)
    for (const { id: of, kind, settings } of diagram.parts.values()) {
      const marks = new Set(faults.filter((fault) => fault.of === of).flatMap(({ shows }) => shows ?? []))
      const offered = lookChoices(kind, settings)
      for (const mark of marks) expect(offered).toContain(mark)
      expect(new Set(offered).size).toBe(offered.length)
    }
  },
)

test('a bulged capacitor leads over a motor that has only tripped inside', () => {
  const unit = builtInUnit('split-heat-pump')
  const shareAfter = (seen: readonly string[]): number => {
    const { model, belief } = judge(unit, {
      complaint: 'not-cooling',
      entries: [
        { kind: 'call', call: 'cool1' },
        { kind: 'reading', meter: 'volts', from: 'CC1.T1', to: 'CC1.T2', value: 208 },
        { kind: 'reading', meter: 'amps', from: 'CC1.T1', to: 'C1.C', value: 0 },
        ...seen.map((what) => ({ kind: 'observation', what, of: 'CAP1' }) as const),
      ],
    })
    return belief.probability[model.hypotheses.findIndex(({ id }) => id === 'CAP1:plates-open')]
  }
  expect(shareAfter(['bulged'])).toBeGreaterThan(0.9)
  expect(shareAfter(['bulged'])).toBeGreaterThan(shareAfter([]))
})

test('a valve that is fed and shut is the valve, not a motor of the unit', () => {
  const { model, belief } = judge(builtInUnit('fan-coil-two-pipe'), {
    complaint: 'not-cooling',
    entries: [
      { kind: 'call', call: 'cool1' },
      { kind: 'condition', of: 'pipe', value: 45 },
      { kind: 'reading', meter: 'volts', from: 'VR.1', to: 'VR.2', value: 119 },
      { kind: 'observation', what: 'shut', of: 'VR' },
    ],
  })
  const share = model.hypotheses.reduce(
    (sum, { of }, h) => (of.includes('VR') ? sum + belief.probability[h] : sum),
    0,
  )
  expect(share).toBeGreaterThan(0.8)
})

test('what heat opens is closed again where the unit makes none: the blower does not run on for it', () => {
  const { model, belief } = judge(builtInUnit('rooftop-two-stage'), {
    complaint: 'will-not-stop',
    entries: [
      { kind: 'call', call: 'off' },
      { kind: 'observation', what: 'pulled-in', of: 'IFC' },
    ],
  })
  const blocked = model.hypotheses.findIndex(({ id }) => id === 'FILT:blocked')
  expect(belief.probability[blocked]).toBeLessThan(0.02)
})
