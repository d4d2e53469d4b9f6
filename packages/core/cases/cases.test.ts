import { readFileSync } from 'node:fs'
import path from 'node:path'
import { diagnose } from '../diagnosis/diagnose'
import { readCaseFile } from '../formats/caseFile'
import { builtInUnit } from '../units/index'

/** Case file → faults that its entries cannot tell apart, the true one among them. */
const truths: Readonly<Record<string, readonly string[]>> = {
  '02-second-stage-lead': ['TS.Y2-TB.Y2:open'],
  '02b-lockout': ['LAL:contact-open'],
  '02c-lockout-then-pressure': ['HPS2:tripped', 'HPS2:contact-open'],
  '03-low-pressure': ['LPS1:tripped', 'LPS1:contact-open'],
  '19-outdoor-sensor-lead': ['EC.SO+-OAT.1:open', 'OAT:element-open', 'OAT.2-EC.SO-:open'],
}

const caseOf = (name: string) => readCaseFile(readFileSync(path.join(__dirname, `${name}.json`), 'utf8'))

test.each(Object.entries(truths))('%s: the true fault leads, with what cannot be told from it', (name, expected) => {
  const file = caseOf(name)
  const { model, belief, ranked } = diagnose(builtInUnit(file.unit), file)
  const leading = ranked.slice(0, expected.length).map((h) => model.hypotheses[h].id)
  expect(new Set(leading)).toEqual(new Set(expected))
  const weight = ranked.slice(0, expected.length).reduce((sum, h) => sum + belief.probability[h], 0)
  expect(weight).toBeGreaterThan(0.4)
})

test('with nothing read, nothing is certain and there is a reading to take', () => {
  const { belief, ranked, next } = diagnose(builtInUnit('rooftop-two-stage'), { complaint: 'not-cooling', entries: [] })
  expect(belief.probability[ranked[0]]).toBeLessThan(0.1)
  expect(next[0].bits).toBeGreaterThan(0.5)
})

test('the ask for a sensor that reads too cold tells its leads from its element', () => {
  const file = caseOf('19-outdoor-sensor-lead')
  const { model, next } = diagnose(builtInUnit(file.unit), file)
  const parted = next[0].outcomes.map(({ hypotheses }) => hypotheses.map((h) => model.hypotheses[h].id))
  const home = (id: string): number => parted.findIndex((group) => group.includes(id))
  expect(new Set(truths['19-outdoor-sensor-lead'].map(home)).size).toBeGreaterThan(1)
})

test('one mad reading does not kill the truth', () => {
  const file = caseOf('03-low-pressure')
  const entries = [...file.entries, { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 0 } as const]
  const { model, ranked } = diagnose(builtInUnit(file.unit), { ...file, entries })
  expect(model.hypotheses[ranked[0]].of).toEqual(['LPS1'])
})
