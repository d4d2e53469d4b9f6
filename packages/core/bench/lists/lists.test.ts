import { judge } from '../../diagnosis/diagnose'
import { usualUnits, type DisplayUnits } from '../../physics/displayUnits'
import { builtInUnit, builtInUnitIds } from '../../units/index'
import { entryProblem } from '../../visit/checkEntry'
import type { EntryBody } from '../../visit/entry'
import { entryBodySchema } from '../../visit/entrySchema'
import { benchListOf, benchLists } from './index'
import { isRight, listEntry, listReadings, listVerdict, type Answers, type BenchList } from './checkList'

const list = (id: string): BenchList => {
  const found = benchListOf(id)
  if (!found) throw new Error(`no list ${id}`)
  return found
}
/** The places of a list in a unit; the whole unit where it is about no part. */
const placesOf = (of: BenchList, unit: string): readonly string[] => {
  const parts = of.parts(builtInUnit(unit))
  return parts.length > 0 ? parts : ['']
}

test.each(benchLists.map((of) => [of.id, of] as const))(
  '%s: in every unit its steps are told apart, say all three things, and read points that are there',
  (_, of) => {
    expect(of.steps(null, '', usualUnits).length).toBeGreaterThan(0)
    for (const unit of builtInUnitIds) {
      const diagram = builtInUnit(unit)
      for (const part of placesOf(of, unit)) {
        const steps = of.steps(diagram, part, usualUnits)
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
        for (const { does, should, wrong, reading } of steps) {
          for (const words of [does, should, wrong]) {
            expect(words).not.toMatch(/undefined|NaN|null|\s$/)
            expect(words.length).toBeGreaterThan(4)
          }
          if (!reading) continue
          expect(reading.least).toBeLessThanOrEqual(reading.most)
          for (const point of [reading.from, reading.to ?? ''])
            expect(point === 'EARTH' || diagram.points.has(point)).toBe(true)
        }
      }
    }
  },
)

test('what was not tried is said, what is wrong comes first, and only all of it is a proof', () => {
  const steps = list('water-path').steps(null, '', usualUnits)
  const all = (found: 'right' | 'wrong'): Answers => Object.fromEntries(steps.map(({ id }) => [id, found]))
  expect(listVerdict(steps, {})).toMatchObject({ level: 'watch', words: 'Nothing is proven yet.' })
  expect(listVerdict(steps, all('right')).level).toBe('good')
  expect(listVerdict(steps, { ...all('right'), [steps[0].id]: 'not-tried' }).level).toBe('watch')
  const wrong = listVerdict(steps, { ...all('right'), [steps[3].id]: 'wrong', [steps[0].id]: 'not-tried' })
  expect(wrong).toMatchObject({ level: 'act', words: steps[3].wrong })
  expect(wrong.lines.filter(({ value }) => value === 'not proven')).toHaveLength(1)
})

test('a value is judged by the bounds of its step, OL where OL is right', () => {
  const steps = list('short-hunt').steps(builtInUnit('rooftop-two-stage'), '', usualUnits)
  const pair = steps.find(({ id }) => id.startsWith('ohms TB.Y1'))
  if (!pair?.reading) throw new Error('no pair at the board')
  expect(isRight(pair, Infinity)).toBe(true)
  expect(isRight(pair, 0.4 * pair.reading.least)).toBe(false)
  expect(isRight(pair, undefined)).toBeNull()
})

test('a list is an entry that any visit takes', async () => {
  const diagram = builtInUnit('rooftop-enthalpy')
  const smoke = list('smoke-shutdown')
  const [part] = smoke.parts(diagram)
  const steps = smoke.steps(diagram, part, usualUnits)
  const entry = listEntry(smoke, steps, { bar: 'right', across: 25, alarm: 'not-tried' }, part)
  expect(entry).toMatchObject({ of: part, level: 'act' })
  await expect(entryBodySchema.validate(entry, { strict: true })).resolves.toBeTruthy()
})

test('a bar left in, and a blind detector, are caught by the list', () => {
  const diagram = builtInUnit('rooftop-enthalpy')
  const smoke = list('smoke-shutdown')
  const steps = smoke.steps(diagram, smoke.parts(diagram)[0], usualUnits)
  expect(listVerdict(steps, { bar: 'right', alarm: 'wrong' }).words).toMatch(/Blind/)
  expect(listVerdict(steps, { bar: 'right', alarm: 'right', dead: 'wrong' }).words).toMatch(/bar is still in/)
})

/** What is read for a list, as evidence of a visit: the true cause leads by it alone. */
function leaderOf(id: string, unit: string, answers: Answers, before: readonly EntryBody[]): string {
  const diagram = builtInUnit(unit)
  const of = list(id)
  const readings = listReadings(of.steps(diagram, of.parts(diagram)[0] ?? '', usualUnits), answers)
  expect(readings.length).toBeGreaterThan(0)
  for (const reading of readings) expect(entryProblem(diagram, reading)).toBe('')
  const { ranked, model } = judge(diagram, { complaint: '', entries: [...before, ...readings] })
  return model.hypotheses[ranked[0]].id
}

test('ohms of a short hunt lead to the branch that has it', () => {
  const isolated: readonly EntryBody[] = [{ kind: 'power', is: 'isolated' }]
  expect(
    leaderOf('short-hunt', 'split-heat-pump', { 'ohms TB.G TB.C': 0.3, 'ohms TB.Y1 TB.C': 14 }, isolated),
  ).toMatch(/GR:|TB\.G|TS\.G/)
})

test('volts over a detector that is dead in alarm lead to it', () => {
  const fan: readonly EntryBody[] = [{ kind: 'call', call: 'fan' }]
  expect(leaderOf('smoke-shutdown', 'rooftop-enthalpy', { in: 25, out: 0, across: 25 }, fan)).toMatch(/^SMK:/)
})

test('degrees are said in the units that are shown, on a scale and apart', () => {
  const celsius = { ...usualUnits, temperature: '°C' } as const
  const said = (of: string, units: DisplayUnits): string =>
    list(of)
      .steps(null, '', units)
      .map(({ should }) => should)
      .join(' ')
  expect(said('pipe-changeover', usualUnits)).toContain('Below about 60 °F cold')
  expect(said('pipe-changeover', celsius)).toMatch(/Below about 15\.6 °C cold, above about 32\.2 °C hot/)
  expect(said('thermostat-check', celsius)).toContain('Within 1.1 °C')
  for (const { id } of benchLists) expect(said(id, celsius)).not.toContain('°F')
})
