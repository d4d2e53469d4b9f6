import { builtInUnit, builtInUnitIds } from '../units/index'
import { transformerWindings, windingOhmsFor } from './transformerWindings'
import { windingOhmsSingle } from './windingOhmsSingle'
import type { BenchTool } from './tool'

const found = (tool: BenchTool, given: Readonly<Record<string, number>>): string => {
  const outcome = tool.work(given)
  return outcome.is === 'verdict' ? `${outcome.verdict.level}: ${outcome.verdict.words}` : 'problems'
}

test('windings of control transformers by their size', () => {
  // 40 VA, 240 V, 10 %: primary about 70 Ω, secondary 0.7 Ω; 150 VA: about 20 Ω and 0.2 Ω
  expect(windingOhmsFor(240, 40)).toBeCloseTo(72)
  expect(windingOhmsFor(24, 40)).toBeCloseTo(0.72)
  expect(windingOhmsFor(240, 150)).toBeCloseTo(19.2)
  expect(windingOhmsFor(24, 150)).toBeCloseTo(0.192)
  expect(windingOhmsFor(480, 75)).toBeCloseTo(4 * windingOhmsFor(240, 75))
})

test.each([
  [{ primary: 71, secondary: 0.7 }, /good/],
  [{ primary: Infinity, secondary: 0.7 }, /act: The primary is open/],
  [{ primary: 71, secondary: Infinity }, /act: The secondary is open/],
  [{ primary: 12, secondary: 0.7 }, /act: The primary has 17 % of its ohms/],
  [{ primary: 290, secondary: 0.7 }, /watch: The primary has more ohms/],
])('a 40 VA transformer on 240 V, %j', (ohms, says) => {
  expect(found(transformerWindings, { va: 40, primaryVolts: 240, ...ohms })).toMatch(says)
})

test.each([
  [{ run: 0.7, start: 2.1, both: 2.8 }, /good/],
  [{ run: Infinity, start: Infinity, both: 2.8 }, /watch: Open at C only: the inner protector/],
  [{ run: Infinity, start: 2.1, both: Infinity }, /act: The run winding is open/],
  [{ run: 0.7, start: Infinity, both: Infinity }, /act: The start winding is open/],
  [{ run: Infinity, start: Infinity, both: Infinity }, /act: Everything open/],
  [{ run: 2.1, start: 0.7, both: 2.8 }, /watch: R and S are the other way round/],
  [{ run: 0.7, start: 2.1, both: 1.4 }, /watch: R to S is not the two together/],
  // 208 V and 15.7 A: 0.045 × 13.2 Ω
  [{ run: 0.6, start: 2, both: 2.6, volts: 208, plate: 15.7 }, /good/],
  [{ run: 6, start: 20, both: 26, volts: 208, plate: 15.7 }, /watch: .* not with the plate/],
])('a single-phase motor, %j', (ohms, says) => {
  expect(found(windingOhmsSingle, ohms)).toMatch(says)
})

test('they are filled from every built-in unit that has such parts', () => {
  for (const id of builtInUnitIds) {
    const diagram = builtInUnit(id)
    for (const tool of [transformerWindings, windingOhmsSingle])
      for (const { part, readings } of tool.places(diagram))
        for (const { from, to } of Object.values(readings))
          expect([part, diagram.points.has(from), diagram.points.has(to ?? '')]).toEqual([part, true, true])
  }
  expect(transformerWindings.places(builtInUnit('rooftop-480')).length).toBeGreaterThan(0)
  expect(windingOhmsSingle.places(builtInUnit('split-heat-pump')).map(({ part }) => part)).toContain('C1')
})
