import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { seeded } from '../world/random'
import { diagnose, judge } from './diagnose'
import { complaintOf, trueValue } from './trial'
import { atArrival } from '../visit/standing'

test('a circuit that will not rest may read anything, and so explains no one reading well, on whichever meter', () => {
  const diagram = builtInUnit('package-proving')
  const { model } = judge(diagram, { complaint: '', entries: [] })
  const truth = model.hypotheses.findIndex(({ id }) => id === 'DR:contact-open')
  const restless = model.hypotheses.findIndex(({ id }) => id === 'FU:clip1-loose')
  const complaint = complaintOf(model, truth)
  const { call } = diagram.complaints.find(({ id }) => id === complaint) ?? diagram.complaints[0]
  const standing = atArrival(diagram, call)
  expect(model.situation(standing).settle(restless).oscillates).toBe(true)
  for (const meter of ['volts', 'millivolts'] as const) {
    const reading = { meter, from: 'XF.S1', to: 'PB1.K' }
    const {
      belief: { probability },
    } = diagnose(diagram, {
      complaint,
      entries: [{ kind: 'reading', ...reading, value: trueValue(model, truth, standing, reading) }],
    })
    expect(probability[restless]).toBeLessThan(probability[truth])
  }
})

test('where a circuit that will not rest stands still all the same, a reading tells as much as on any other', () => {
  const diagram = builtInUnit('air-handler-heat')
  const standing = atArrival(diagram, 'heat2')
  const chances = (entries: readonly EntryBody[]) => {
    const { model, belief } = judge(diagram, { complaint: 'no-heat', entries })
    const of = (id: string): number => model.hypotheses.findIndex((hypothesis) => hypothesis.id === id)
    return {
      model,
      of,
      ratio: belief.probability[of('BR:pole3-burnt')] / belief.probability[of('PM:contact-open')],
    }
  }
  const call: EntryBody = { kind: 'call', call: 'heat2' }
  const low: EntryBody = { kind: 'reading', meter: 'volts', from: 'XF.S1', to: 'XF.S2', value: 25.4 }
  const { model, of, ratio } = chances([call])
  const situation = model.situation(standing)
  expect(situation.settle(of('BR:pole3-burnt')).oscillates).toBe(true)
  const after = chances([call, low, low, low]).ratio
  expect(after / ratio).toBeGreaterThan(0.7)
  expect(after / ratio).toBeLessThan(1.4)
})

test('logs that go on from one another in different ways are each weighed whole, pairs of faults included', () => {
  const diagram = builtInUnit('fan-coil-two-pipe')
  const random = seeded(1)
  const points = [...diagram.points.keys()].filter((point) => point !== diagram.common)
  const oneOf = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)]
  const reading = (): EntryBody => ({
    kind: 'reading',
    meter: 'volts',
    from: oneOf(points),
    to: diagram.common,
    value: oneOf([0, 3, 14, 26, 26.4, 120, 240]),
  })
  const called = diagram.calls.find(({ id }) => id !== 'off')?.id ?? ''
  const begun: readonly EntryBody[] = [{ kind: 'call', call: called }, reading(), reading()]
  for (let log = 0; log < 12; log++) {
    const entries = [...begun]
    for (let step = 0; step < 3; step++) {
      entries.push(reading())
      const { belief } = judge(diagram, { complaint: '', entries })
      const whole = belief.probability.reduce((sum, chance) => sum + chance, 0)
      expect(whole).toBeCloseTo(1, 6)
    }
  }
})
