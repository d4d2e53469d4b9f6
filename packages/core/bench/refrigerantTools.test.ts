import { refrigerants } from '../physics/refrigerant'
import { benchToolOf } from './index'
import { fixedTarget } from './superheat'
import type { Level, Verdict } from './tool'

const verdictOf = (id: string, given: Readonly<Record<string, number>>): Verdict => {
  const outcome = benchToolOf(id)?.work(given)
  if (outcome?.is !== 'verdict') throw new Error(JSON.stringify(outcome))
  return outcome.verdict
}
const r410a = refrigerants.indexOf('R-410A')
const r22 = refrigerants.indexOf('R-22')

test.each<[string, Readonly<Record<string, number>>, Level, string]>([
  // R-410A at 118 psig is at 40 °F: 50 °F on the line is 10 °F of superheat
  ['superheat', { refrigerant: r410a, pressure: 118, line: 50, device: 0 }, 'good', 'As it should be'],
  ['superheat', { refrigerant: r410a, pressure: 118, line: 72, device: 0 }, 'watch', 'High: starved'],
  ['superheat', { refrigerant: r410a, pressure: 118, line: 42, device: 0 }, 'watch', 'Low'],
  ['superheat', { refrigerant: r410a, pressure: 118, line: 30, device: 0 }, 'act', 'Below saturation'],
  ['superheat', { refrigerant: r22, pressure: 68.5, line: 55, device: 1 }, 'watch', 'add wet bulb'],
  [
    'superheat',
    { refrigerant: r22, pressure: 68.5, line: 53, device: 1, wetBulb: 67, outdoor: 95 },
    'good',
    '',
  ],
  ['superheat', { refrigerant: r22, pressure: 690, line: 53, device: 0 }, 'act', 'outside'],
  // 317 psig is 100 °F: a liquid line of 90 °F is 10 °F of subcooling
  ['subcooling', { refrigerant: r410a, pressure: 317, line: 90 }, 'good', 'As it should be'],
  ['subcooling', { refrigerant: r410a, pressure: 317, line: 99 }, 'watch', 'Low'],
  ['subcooling', { refrigerant: r410a, pressure: 317, line: 80 }, 'watch', 'High'],
  ['subcooling', { refrigerant: r410a, pressure: 317, line: 104 }, 'act', 'Bubbles'],
  ['evacuation', { began: 350, stood: 600, time: 10 }, 'good', 'Tight and dry'],
  ['evacuation', { began: 350, stood: 600, time: 3 }, 'watch', 'Let it stand'],
  ['evacuation', { began: 350, stood: 2500, time: 10 }, 'act', 'Wet'],
  ['evacuation', { began: 350, stood: 20_000, time: 10 }, 'act', 'A leak'],
])('%s of %j: %s, %s', (id, given, level, words) => {
  const verdict = verdictOf(id, given)
  expect(verdict.level).toBe(level)
  expect(verdict.words).toContain(words)
})

test('target of a fixed bore: 67 °F wet bulb and 95 °F outside ask for 13 °F', () => {
  expect(fixedTarget(67, 95)).toBe(13)
})

describe('amps by mode', () => {
  const of = (amps: Readonly<Record<string, number>>): Verdict =>
    verdictOf('mode-amps', { rating: 40, secondary: 24, ...amps })
  test('the call in which they leap names the branch', () => {
    expect(of({ off: 0.1, fan: 0.4, cool1: 4.2 })).toMatchObject({
      level: 'act',
      words: expect.stringContaining('cooling, first stage'),
    })
  })
  test('there with nothing called', () => {
    expect(of({ off: 4.8 }).words).toMatch(/nothing called/)
  })
  test('healthy coils add up and are no leap', () => {
    expect(of({ off: 0.1, fan: 0.4, cool1: 0.9, heat1: 0.8 })).toMatchObject({ level: 'good' })
  })
  test('nothing read yet', () => {
    expect(of({}).level).toBe('watch')
  })
})
