import { Circuit } from '../circuit/circuit'
import { readLadder } from '../diagram/readLadder'
import { builtInUnitText } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { brief } from './briefing'
import { judge, modelOf } from './diagnose'
import { foresee, prepare } from './foresee'
import { leadingFew } from './leadingFew'
import { standingsElsewhere } from './nextStep'
import { situationIn } from './proposals'
import { gather } from '../visit/evidence'

const entries: readonly EntryBody[] = [
  { kind: 'observation', what: 'still', of: 'IFM' },
  { kind: 'reading', meter: 'volts', from: 'TB.L', to: 'TB.N', value: 119.4 },
]
const file = { complaint: 'no-heat', entries }
const fresh = () => readLadder(builtInUnitText('fan-coil-two-pipe'))

test('what was worked out ahead changes no answer', () => {
  const diagram = fresh()
  const pieces = [...foresee(diagram, file)].length
  expect(brief(diagram, file)).toEqual(brief(fresh(), file))
  // left at any piece, the same
  const left = fresh()
  const work = foresee(left, file)
  for (let k = 0; k < pieces / 3; k++) work.next()
  expect(brief(left, file)).toEqual(brief(fresh(), file))
})

test('a unit that was prepared is judged for every complaint without another fault to solve, and as if it had not been', () => {
  const diagram = fresh()
  for (const _ of prepare(diagram)) expect(_).toBeUndefined()
  const model = modelOf(diagram)
  for (const { id } of diagram.complaints) {
    const { circuit } = model.situation(gather(diagram, { complaint: id, entries: [] }).now)
    const solve = jest.spyOn(circuit, 'vary')
    const prepared = brief(diagram, { complaint: id, entries: [] })
    expect(solve).not.toHaveBeenCalled()
    expect(prepared).toEqual(brief(fresh(), { complaint: id, entries: [] }))
  }
})

test('afterwards every fault is solved in every call and isolated', () => {
  const diagram = fresh()
  for (const _ of foresee(diagram, file)) expect(_).toBeUndefined()
  const judgement = judge(diagram, file)
  const { now } = judgement.findings
  for (const standing of [now, ...standingsElsewhere(diagram, now)]) {
    const situation = situationIn(judgement, standing)
    const solve = jest.spyOn(situation.circuit, 'vary')
    for (let h = 0; h < judgement.model.singles; h++) situation.settle(h)
    expect(solve).not.toHaveBeenCalled()
  }
})

test('once there is a verdict, its repair is judged without another fault to solve, and no otherwise', () => {
  const found: readonly EntryBody[] = [
    { kind: 'observation', what: 'off', of: 'SW' },
    { kind: 'reading', meter: 'volts', from: 'TB.L', to: 'TB.N', value: 0 },
  ]
  const repaired = { complaint: 'no-heat', entries: [...found, { kind: 'repair', of: 'SW' }] } as const
  const diagram = fresh()
  const before = judge(diagram, { complaint: 'no-heat', entries: found })
  expect(leadingFew(before.belief)?.flatMap((h) => before.model.hypotheses[h].of)).toEqual(['SW'])
  for (const _ of foresee(diagram, { complaint: 'no-heat', entries: found })) expect(_).toBeUndefined()
  const solve = jest.spyOn(Circuit.prototype, 'vary')
  const { belief } = judge(diagram, repaired)
  expect(solve).not.toHaveBeenCalled()
  solve.mockRestore()
  expect(belief.probability).toEqual(judge(fresh(), repaired).belief.probability)
})

test('only the units last asked for are kept solved', () => {
  const [first, second, third] = [fresh(), fresh(), fresh()]
  const model = modelOf(first)
  modelOf(second)
  expect(modelOf(first)).toBe(model)
  modelOf(third)
  expect(modelOf(first)).toBe(model)
  modelOf(second)
  modelOf(third)
  expect(modelOf(first)).not.toBe(model)
})
