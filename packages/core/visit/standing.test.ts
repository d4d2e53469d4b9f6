import type { EntryBody } from './entry'
import { builtInUnit } from '../units/index'
import { ForbiddenActionError } from './actions'
import { judge, modelOf } from '../diagnosis/diagnose'
import { gather } from './evidence'

/** What a unit reads after some entries if a fault is there; `none` for a healthy one. */
function reads(
  unit: string,
  entries: readonly EntryBody[],
  from: string,
  to: string,
  fault = 'none',
): number {
  const diagram = builtInUnit(unit)
  const model = modelOf(diagram)
  const { now } = gather(diagram, { complaint: '', entries })
  const h = model.hypotheses.findIndex(({ id }) => id === fault)
  expect(h).toBeGreaterThanOrEqual(0)
  return model.situation(now).predict(now.power === 'off' ? 'ohms' : 'volts', from, to, [h])[h]
}

const live = 20
const dead = 2

test('a hand on the changeover sensor moves its contact, unless it is stuck', () => {
  const winter: readonly EntryBody[] = [
    { kind: 'call', call: 'heat1' },
    { kind: 'condition', of: 'pipe', value: 46 },
  ]
  expect(reads('fan-coil-two-pipe', winter, 'CO.COM', 'CO.COLD')).toBeLessThan(dead)
  const warmed: readonly EntryBody[] = [...winter, { kind: 'action', do: 'warm', of: 'CO' }]
  expect(reads('fan-coil-two-pipe', warmed, 'CO.COM', 'CO.COLD')).toBeGreaterThan(live)
  expect(reads('fan-coil-two-pipe', warmed, 'CO.COM', 'CO.COLD', 'CO:stuck-cold')).toBeLessThan(dead)
  expect(
    reads('fan-coil-two-pipe', [...warmed, { kind: 'action', do: 'cool', of: 'CO' }], 'CO.COM', 'CO.COLD'),
  ).toBeLessThan(dead)
})

test('a trip that is reset is gone, a broken one is not', () => {
  const heat: readonly EntryBody[] = [{ kind: 'call', call: 'heat1' }]
  const reset: readonly EntryBody[] = [...heat, { kind: 'action', do: 'reset', of: 'ML' }]
  expect(reads('rooftop-two-stage', heat, 'ML.2', 'TB.C', 'ML:tripped')).toBeLessThan(dead)
  expect(reads('rooftop-two-stage', reset, 'ML.2', 'TB.C', 'ML:tripped')).toBeGreaterThan(live)
  expect(reads('rooftop-two-stage', reset, 'ML.2', 'TB.C', 'ML:contact-open')).toBeLessThan(dead)
})

test('an inner protector closes when the unit has rested long enough', () => {
  const rest = (seconds: number): readonly EntryBody[] => [
    { kind: 'call', call: 'off' },
    { kind: 'wait', seconds },
    { kind: 'power', is: 'isolated' },
  ]
  expect(reads('rooftop-two-stage', rest(60), 'C1.T1', 'C1.T2', 'C1:protector-open')).toBeNaN()
  expect(reads('rooftop-two-stage', rest(1500), 'C1.T1', 'C1.T2', 'C1:protector-open')).toBeLessThan(5)
})

test('one section off leaves the others live', () => {
  const off: readonly EntryBody[] = [
    { kind: 'power', is: 'off', of: 'BRO' },
    { kind: 'call', call: 'cool1' },
  ]
  expect(reads('split-heat-pump', off, 'OB.L1', 'OB.L2')).toBeLessThan(dead)
  expect(reads('split-heat-pump', off, 'TB.R', 'TB.C')).toBeGreaterThan(live)
  expect(
    reads('split-heat-pump', [...off, { kind: 'power', is: 'on', of: 'BRO' }], 'OB.L1', 'OB.L2'),
  ).toBeGreaterThan(200)
  const all = gather(builtInUnit('split-heat-pump'), {
    complaint: '',
    entries: ['BRO', 'BRI', 'BRH', 'DSO'].map((of): EntryBody => ({ kind: 'power', is: 'off', of })),
  })
  expect(all.now.power).toBe('off')
})

test('pressures, smoke, water and a cold coil open what watches them', () => {
  const cool = (of: string, value: number): readonly EntryBody[] => [
    { kind: 'call', call: 'cool1' },
    { kind: 'condition', of, value },
  ]
  expect(reads('rooftop-two-stage', cool('suctionPressure', 118), 'LPS1.2', 'TB.C')).toBeGreaterThan(live)
  expect(reads('rooftop-two-stage', cool('suctionPressure', 9), 'LPS1.2', 'TB.C')).toBeLessThan(dead)
  expect(reads('rooftop-two-stage', cool('dischargePressure', 640), 'HPS1.2', 'TB.C')).toBeLessThan(dead)
  expect(reads('rooftop-two-stage', cool('coilTemperature', 20), 'FRZ1.2', 'TB.C')).toBeLessThan(dead)
  expect(reads('rooftop-enthalpy', cool('smoke', 1), 'TB.R', 'TB.C')).toBeLessThan(dead)
  expect(reads('fan-coil-cooling', cool('panWater', 1), 'FLT.2', 'TB.C')).toBeLessThan(dead)
})

test('a measured pressure that should let the switch close speaks for the switch itself', () => {
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    { kind: 'reading', meter: 'volts', from: 'LPS1.1', to: 'LPS1.2', value: 25 },
  ]
  const odds = (more: readonly EntryBody[], id: string): number => {
    const { model, belief } = judge(builtInUnit('rooftop-two-stage'), {
      complaint: '',
      entries: [...entries, ...more],
    })
    return belief.probability[model.hypotheses.findIndex((hypothesis) => hypothesis.id === id)]
  }
  expect(odds([], 'LPS1:tripped')).toBeGreaterThan(odds([], 'LPS1:contact-open'))
  const good: readonly EntryBody[] = [{ kind: 'condition', of: 'suctionPressure', value: 118 }]
  expect(odds(good, 'LPS1:contact-open')).toBeGreaterThan(5 * odds(good, 'LPS1:tripped'))
})

test('before its delay has passed a healthy contactor is rightly out', () => {
  const early: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    { kind: 'wait', seconds: 60 },
  ]
  expect(reads('rooftop-two-stage', early, 'CC1.A1', 'CC1.A2')).toBeLessThan(dead)
  expect(
    reads('rooftop-two-stage', [...early, { kind: 'wait', seconds: 400 }], 'CC1.A1', 'CC1.A2'),
  ).toBeGreaterThan(live)
})

test('a setting found wrong names its cause, and put right it is right', () => {
  const found: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    { kind: 'setting', of: 'EC.changeover', from: '95', to: '60' },
  ]
  const { model, belief, findings } = judge(builtInUnit('rooftop-two-stage'), {
    complaint: 'not-cooling',
    entries: found,
  })
  expect(findings.repaired).toEqual(['EC:changeover-high'])
  expect(belief.repairedFaults.map((h) => model.hypotheses[h].id)).toEqual(['EC:changeover-high'])
  const was = model.hypotheses.findIndex(({ id }) => id === 'EC:changeover-high')
  expect(belief.probability[was]).toBe(0)
  expect(reads('rooftop-two-stage', found, 'CC1.A1', 'CC1.A2', 'EC:changeover-high')).toBeGreaterThan(live)
})

test('R to C, a condition nobody knows, a setting that is no number: refused in words', () => {
  const say = (body: EntryBody) => () =>
    gather(builtInUnit('rooftop-two-stage'), { complaint: '', entries: [body] })
  expect(say({ kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.C' })).toThrow(ForbiddenActionError)
  expect(say({ kind: 'condition', of: 'outdoorDrybulp', value: 3 })).toThrow(/outdoorDryBulb/)
  expect(say({ kind: 'setting', of: 'EC.changeover', from: 'low', to: '60' })).toThrow(/must be a number/)
  expect(say({ kind: 'setting', of: 'QQ.changeover', from: '', to: '60' })).toThrow(/nearest/)
})

test('a code is evidence, a fuse’s look tells a short from an overload', () => {
  const lead = (unit: string, complaint: string, entries: readonly EntryBody[]): readonly string[] => {
    const { model, ranked } = judge(builtInUnit(unit), { complaint, entries })
    return ranked.slice(0, 12).map((h) => model.hypotheses[h].id)
  }
  expect(
    lead('rooftop-two-stage', 'no-heat', [
      { kind: 'call', call: 'heat1' },
      { kind: 'observation', what: 'code', of: 'IC', words: '2 flashes' },
    ]).join(),
  ).toMatch(/PS|IND|IDM/)
  const silvered = lead('split-heat-pump', 'fuse-goes', [
    { kind: 'call', call: 'cool1' },
    { kind: 'observation', what: 'blown-silvered', of: 'FU' },
  ])
  expect(silvered.every((id) => /grounded|crossed|shorted/.test(id))).toBe(true)
})

test('a coil that was frozen is not taken to be once something was put right; the weather stays', () => {
  const frozen: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    { kind: 'condition', of: 'outdoorDryBulb', value: 88 },
    { kind: 'condition', of: 'coilTemperature', value: 22 },
  ]
  const after = (entry: EntryBody) =>
    gather(builtInUnit('fan-coil-hydronic'), { complaint: '', entries: [...frozen, entry] })
  for (const entry of [
    { kind: 'repair', of: 'FZ' },
    { kind: 'action', do: 'reset', of: 'FZ' },
  ] as const)
    expect(after(entry).now.conditions).toEqual({ outdoorDryBulb: 88 })
  expect(after({ kind: 'note', words: 'ice on the coil' }).now.conditions.coilTemperature).toBe(22)
  const hydronic = 'fan-coil-hydronic'
  expect(reads(hydronic, frozen, 'TB.R', 'TB.C')).toBeLessThan(dead)
  expect(reads(hydronic, [...frozen, { kind: 'repair', of: 'FZ' }], 'TB.R', 'TB.C')).toBeGreaterThan(live)
})

test('what it was before still tells what was put right', () => {
  const { model, belief } = judge(builtInUnit('fan-coil-hydronic'), {
    complaint: 'not-cooling',
    entries: [
      { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 0 },
      { kind: 'reading', meter: 'volts', from: 'FZ.1', to: 'TB.C', value: 26 },
      { kind: 'reading', meter: 'volts', from: 'FZ.2', to: 'TB.C', value: 0 },
      { kind: 'condition', of: 'coilTemperature', value: 22 },
      { kind: 'repair', of: 'FZ' },
    ],
  })
  expect(belief.repairedFaults.map((h) => model.hypotheses[h]?.id)).toEqual(['FZ:tripped'])
})
