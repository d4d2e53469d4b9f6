import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { diagnose } from './diagnose'

test('with many faint suspects beside one part that leads, what is done to the unit is asked among the strong', () => {
  const volts = (from: string, to: string): EntryBody => ({
    kind: 'reading',
    meter: 'volts',
    from,
    to,
    value: 25.9,
    typed: '25.9',
  })
  const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })
  const { ranked, model, steps } = diagnose(builtInUnit('rooftop-480'), {
    complaint: 'not-cooling',
    entries: [
      ...[seen('DS', 'on'), seen('FILT', 'clean'), seen('BELT', 'whole')],
      ...[seen('DRN', 'running'), seen('OC', 'clean')],
      { kind: 'condition', of: 'outdoorDryBulb', value: 88 },
      ...[seen('CFC', 'dropped-out'), seen('IFC', 'pulled-in')],
      ...[volts('RH.2', 'TB.C'), volts('CC1.A1', 'TB.C')],
      ...[seen('CC1', 'dropped-out'), volts('CC1.A1', 'CC1.A2')],
    ],
  })
  expect(model.hypotheses[ranked[0]].of).toEqual(['CC1'])
  expect(steps.length).toBeGreaterThan(0)
})
