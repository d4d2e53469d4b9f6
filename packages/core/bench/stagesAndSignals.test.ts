import fc from 'fast-check'
import { usualUnits } from '../physics/displayUnits'
import { builtInUnit } from '../units/index'
import { monitorWiring } from './lists/monitorWiring'
import { lostLeg } from './lostLeg'
import { heatStaging, stagesOn } from './heatStaging'
import { sensorSignal } from './sensorSignal'
import { splitFor, temperatureSplit } from './temperatureSplit'
import type { BenchTool } from './tool'

const found = (tool: BenchTool, given: Readonly<Record<string, number>>): string => {
  const outcome = tool.work(given)
  return outcome.is === 'verdict'
    ? `${outcome.verdict.level}: ${outcome.verdict.words}`
    : outcome.problems.map(({ message }) => message).join()
}

test('stages come in 30 to 90 s and go in 30 to 110 s, one after another', () => {
  expect(stagesOn(3, 20, true)).toEqual({ fewest: 0, most: 0 })
  expect(stagesOn(3, 120, true)).toEqual({ fewest: 1, most: 3 })
  expect(stagesOn(3, 300, true)).toEqual({ fewest: 3, most: 3 })
  expect(stagesOn(3, 20, false)).toEqual({ fewest: 3, most: 3 })
  expect(stagesOn(3, 340, false)).toEqual({ fewest: 0, most: 0 })
})

test('there are never more stages than there are, and with time only more of them', () => {
  const whole = (most: number) => fc.integer({ min: 0, max: most })
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), whole(900), whole(900), (stages, a, b) => {
      const [sooner, later] = [Math.min(a, b), Math.max(a, b)].map((since) => stagesOn(stages, since, true))
      expect(sooner.fewest).toBeLessThanOrEqual(sooner.most)
      expect(later.most).toBeLessThanOrEqual(stages)
      expect(later.fewest).toBeGreaterThanOrEqual(sooner.fewest)
      expect(later.most).toBeGreaterThanOrEqual(sooner.most)
    }),
  )
})

const heat = { stages: 3, each: 20.8, call: 0 }
test.each([
  [{ ...heat, since: 120, read: 41 }, /good/],
  [{ ...heat, since: 300, read: 41 }, /act: Stage 3 has not come/],
  [{ ...heat, since: 20, read: 20.5 }, /act: More is on than can be so soon/],
  [{ ...heat, since: 200, read: 31 }, /act: No whole number of stages/],
  [{ ...heat, call: 1, since: 400, read: 20.8 }, /act: .*The fan must not stop/],
  [{ ...heat, stages: 2.5, since: 10, read: 0 }, /stages are whole numbers/],
  [{ ...heat, each: 0, since: 10, read: 0 }, /a stage draws some amps/],
])('%j', (given, says) => {
  expect(found(heatStaging, given)).toMatch(says)
})

test.each([
  [{ sort: 1, signal: 12, low: 0, high: 100, there: 52 }, /good/],
  [{ sort: 1, signal: 12, low: 0, high: 100, there: 80 }, /act: It lies: it says 50.0 where it is 80.0/],
  [{ sort: 1, signal: 0, low: 0, high: 100 }, /act: Less than a live loop carries/],
  [{ sort: 1, signal: 24, low: 0, high: 100 }, /act: More than it can say/],
  [{ sort: 0, signal: 5, low: 40, high: 120, there: 80 }, /good/],
  [{ sort: 0, signal: 0, low: 40, high: 120, there: 72 }, /act: Nothing comes/],
  [{ sort: 0, signal: 3, low: 0, high: 100 }, /watch: It says 30.0/],
  [{ sort: 0, signal: 3, low: 100, high: 0 }, /the high end is above the low end/],
])('a sensor by its signal, %j', (given, says) => {
  expect(found(sensorSignal, given)).toMatch(says)
})

test('dry return air is cooled by more, less air for each ton too', () => {
  const percents = [20, 35, 50, 65, 80]
  const splits = percents.map((percent) => splitFor(75, percent))
  for (let k = 1; k < splits.length; k++) expect(splits[k]).toBeLessThanOrEqual(splits[k - 1])
  expect(splits[0]).toBeGreaterThan(splits[4] + 5)
  expect(splitFor(75, 50, 300)).toBeGreaterThan(splitFor(75, 50, 400))
  // what a ton takes out of 400 CFM is 6.67 Btu a pound: of dry air 0.24 a degree
  expect(splitFor(75, 0)).toBeCloseTo(12_000 / (4.5 * 400) / 0.24, 1)
})

test.each([
  [{ returnAir: 75, percent: 50, supply: 55 }, /good/],
  [{ returnAir: 75, percent: 50, supply: 66 }, /watch: Little/],
  [{ returnAir: 75, percent: 50, supply: 40 }, /watch: Much/],
  [{ returnAir: 75, percent: 50, supply: 75 }, /act: It does not cool/],
  [{ returnAir: 75, percent: 130, supply: 55 }, /Return humidity is from 0 to 100 %; 130 cannot be right/],
])('return and supply, %j', (given, says) => {
  expect(found(temperatureSplit, given)).toMatch(says)
})

const volts = { voltsA: 478, voltsB: 441, voltsC: 436 }
test.each([
  [{ ...volts, ampsA: 17.2, ampsB: 17.5, ampsC: 0.2 }, /act: L3 is lost, and the motor makes its volts/],
  [{ voltsA: 478, voltsB: 240, voltsC: 238, ampsA: 60, ampsB: 61, ampsC: 0 }, /act: L3 is lost\. Stop it/],
  [{ ...volts, ampsA: 17.2, ampsB: 17.5, ampsC: 11 }, /watch: No leg is lost, but they are uneven/],
  [{ ...volts, ampsA: 17.2, ampsB: 17.5, ampsC: 16.8 }, /good/],
  [{ ...volts, ampsA: 17.2, ampsB: 0.1, ampsC: 0.1 }, /act: L2 and L3 carry next to nothing/],
  [{ ...volts, ampsA: 0, ampsB: 0, ampsC: 0 }, /nothing draws/],
])('three legs that all show volts, %j', (given, says) => {
  expect(found(lostLeg, given)).toMatch(says)
})

test('only a monitor with the load side on it is asked what it sees of a stuck pole', () => {
  const asked = (unit: string): readonly boolean[] => {
    const diagram = builtInUnit(unit)
    return (monitorWiring.parts?.(diagram) ?? []).map((part) =>
      monitorWiring.steps(diagram, part, usualUnits).some(({ id }) => id === 'stuck-pole'),
    )
  }
  expect(asked('rooftop-480')).toEqual([true])
  expect(asked('rooftop-two-stage')).not.toContain(true)
})
