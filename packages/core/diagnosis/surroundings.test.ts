import type { Conditions } from '../parts/kind'
import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { diagnose, judge, modelOf, type Diagnosis } from './diagnose'
import { volts } from '../visit/testReadings'
import type { Step } from './steps'

/** A technician who follows the asks on a unit with nothing wrong, in these surroundings. */
interface Search {
  readonly unit: string
  readonly call: string
  readonly really: Conditions
  /** Whether a condition that is asked for is measured, or passed by. */
  readonly measures: boolean
}

const said = (meter: string, value: number): number | null =>
  meter === 'ohms' && !Number.isFinite(value) ? null : Number(value.toPrecision(3))

/** What is entered for a step, read off the healthy unit as it really stands. */
function answered({ really, measures }: Search, { model, findings }: Diagnosis, step: Step): EntryBody[] {
  if (step.do === 'wait') return [{ kind: 'wait', seconds: step.seconds }]
  if (step.do === 'condition')
    return measures && step.of in really
      ? [{ kind: 'condition', of: step.of, value: really[step.of] }]
      : [{ kind: 'unreachable', of: step.of }]
  const set: EntryBody[] = [
    ...(step.call === findings.now.call ? [] : [{ kind: 'call', call: step.call } as const]),
    ...(step.power === findings.now.power ? [] : [{ kind: 'power', is: 'isolated' } as const]),
  ]
  const standing = { ...findings.now, call: step.call, power: step.power, conditions: really }
  const situation = model.situation(standing)
  if (step.do === 'look')
    return [...set, { kind: 'observation', what: situation.looks(0, step.of)[0] ?? '', of: step.of }]
  const { meter, from, to } = step
  const value = said(meter, situation.predict(meter, from, to, [0])[0])
  return [...set, { kind: 'reading', meter, from, to, value }]
}

/** The most that any fault of the unit is given on the way, and how often a condition was asked for. */
function search(how: Search, steps: number) {
  const diagram = builtInUnit(how.unit)
  const entries: EntryBody[] = [{ kind: 'call', call: how.call }]
  let most = 0
  let asked = 0
  for (let k = 0; k < steps; k++) {
    const diagnosis = diagnose(
      diagram,
      { complaint: 'not-cooling', entries },
      { sorts: ['measure', 'look', 'condition'] },
    )
    const { belief, model } = diagnosis
    belief.probability.forEach((probability, h) => {
      if (model.hypotheses[h].of.length > 0) most = Math.max(most, probability)
    })
    const [step] = diagnosis.next
    if (step === undefined) break
    if (step.do === 'condition') asked += 1
    entries.push(...answered(how, diagnosis, step))
  }
  return { most, asked }
}

const mild = { outdoorDryBulb: 55, outdoorHumidity: 50 }

test.each([
  ['a rooftop that rightly takes outdoor air', 'rooftop-two-stage', mild],
  ['a fan coil on warm pipes', 'fan-coil-two-pipe', { pipe: 120 }],
])('%s, its surroundings entered when asked for, is given no sure fault', (_, unit, really) => {
  const { most, asked } = search({ unit, call: 'cool1', really, measures: true }, 6)
  expect(asked).toBeGreaterThan(0)
  expect(most).toBeLessThan(0.8)
})

test('the same with nobody measuring: the weather leads, no sensor is condemned', () => {
  const { most } = search({ unit: 'rooftop-two-stage', call: 'cool1', really: mild, measures: false }, 6)
  expect(most).toBeLessThan(0.8)
})

const model = modelOf(builtInUnit('rooftop-two-stage'))
const sensor: EntryBody = { kind: 'reading', meter: 'dc', from: 'OAT.1', to: 'OAT.2', value: 3.17 }
const outdoors: EntryBody = { kind: 'condition', of: 'outdoorDryBulb', value: 55 }
const call: EntryBody = { kind: 'call', call: 'cool1' }

test('weather measured late counts for what was read before', () => {
  const beliefAfter = (entries: readonly EntryBody[]) =>
    judge(model.diagram, { complaint: 'not-cooling', entries }).belief.probability
  const late = beliefAfter([call, sensor, outdoors])
  const early = beliefAfter([call, outdoors, sensor])
  expect(Math.max(...late.map((p, h) => Math.abs(p - early[h])))).toBeLessThan(1e-9)
})

test('measured weather leaves no suspicion of other weather', () => {
  const { belief } = judge(model.diagram, { complaint: '', entries: [call, outdoors] })
  const other = model.everySingle.filter((h) =>
    model.hypotheses[h].faults.some(
      ({ class: sort, of }) => sort === 'surroundings' && of === 'outdoorDryBulb',
    ),
  )
  expect(other.length).toBeGreaterThan(4)
  for (const h of other) expect(belief.probability[h]).toBe(0)
})

const openSwitch: readonly EntryBody[] = [
  call,
  { kind: 'reading', meter: 'volts', from: 'TB.Y1', to: 'TB.C', value: 25 },
  { kind: 'reading', meter: 'volts', from: 'LPS1.1', to: 'LPS1.2', value: 25 },
]
const proving = builtInUnit('package-proving')

test('volts across a pressure switch go before gauges, and gauges before the verdict', () => {
  const pump = builtInUnit('package-heat-pump')
  const lockedOut: readonly EntryBody[] = [
    { kind: 'call', call: 'heat2' },
    { kind: 'observation', of: 'FILT', what: 'clean' },
    { kind: 'observation', of: 'DF', what: 'code', words: '2 flashes' },
    volts('CC1.A1', 0),
  ]
  const nextAfter = (...entries: readonly EntryBody[]) =>
    diagnose(pump, { complaint: 'cold-mornings', entries }).next[0]
  expect(nextAfter(...lockedOut)).toMatchObject({ do: 'measure', meter: 'volts' })
  expect(nextAfter(...lockedOut, volts('LPS.1', 25.6, 'LPS.2'))).toMatchObject({
    do: 'condition',
    of: 'suctionPressure',
    first: 'verdict',
  })
})

test('an open pressure switch: pressures are asked for before any verdict', () => {
  const { next } = diagnose(proving, { complaint: 'not-cooling', entries: openSwitch })
  expect(next[0]).toMatchObject({ do: 'condition', of: 'suctionPressure' })
})

test.each([
  [20, /^LPS1:tripped|^RC1:low/],
  [125, /^LPS1:contact-open/],
])('at %s psig the leader is %s', (value, expected) => {
  const entries = [...openSwitch, { kind: 'condition', of: 'suctionPressure', value } as const]
  const { ranked, model: unit } = judge(proving, { complaint: 'not-cooling', entries })
  expect(unit.hypotheses[ranked[0]].id).toMatch(expected)
})

test('weather is the same for every reading: volts on one side of a switch leave none to blame for the other', () => {
  const blamed = (before: readonly EntryBody[]): number => {
    const { belief } = judge(model.diagram, {
      complaint: 'not-cooling',
      entries: [
        call,
        ...before,
        { kind: 'reading', meter: 'volts', from: 'LPS1.1', to: 'TB.C', value: 25.4 },
        { kind: 'reading', meter: 'volts', from: 'LPS1.2', to: 'TB.C', value: 0 },
      ],
    })
    return model.everySingle
      .filter((h) => model.hypotheses[h].of.some((id) => id === 'RC1' || id.includes('LPS1')))
      .reduce((sum, h) => sum + belief.probability[h], 0)
  }
  const measured = blamed([{ kind: 'condition', of: 'outdoorDryBulb', value: 88 }])
  expect(measured).toBeGreaterThan(0.85)
  expect(Math.abs(blamed([]) - measured)).toBeLessThan(0.01)
})

const openLimit: readonly EntryBody[] = [
  { kind: 'call', call: 'heat2' },
  { kind: 'reading', meter: 'volts', from: 'TB.W2', to: 'TB.C', value: 24 },
  { kind: 'reading', meter: 'volts', from: 'LS2.1', to: 'LS2.2', value: 24.2 },
  { kind: 'reading', meter: 'volts', from: 'LS1.2', to: 'TB.C', value: 24.1 },
  { kind: 'observation', of: 'HC1', what: 'pulled-in' },
]
const heated = builtInUnit('air-handler-drive')

test('an open heating limit: how hot it is there is asked for, since nothing else parts a trip from a broken switch', () => {
  const { next } = diagnose(heated, { complaint: 'no-heat', entries: openLimit })
  expect(next[0]).toMatchObject({ do: 'condition', of: 'heaterTemperature' })
})

test.each([
  [75, 'LS2:contact-open'],
  [178, 'LS2:tripped'],
])('at %s °F there it is %s', (value, expected) => {
  const entries = [...openLimit, { kind: 'condition', of: 'heaterTemperature', value } as const]
  const { ranked, belief, model: unit } = judge(heated, { complaint: 'no-heat', entries })
  expect([unit.hypotheses[ranked[0]].id, belief.probability[ranked[0]] > 0.9]).toEqual([expected, true])
})
