import { readLadder } from '@jokulgale/core/diagram/readLadder'
import { builtInUnit } from '@jokulgale/core/units/index'
import { run } from './run'

const json = (...argv: readonly string[]) => {
  const result = run(argv)
  if ('error' in result) throw new Error(result.error)
  return JSON.parse(result.out)
}
const error = (...argv: readonly string[]): string => {
  const result = run(argv)
  return 'error' in result ? result.error : ''
}

test('units, points and faults are listed', () => {
  const [unit] = json('units').filter(({ id }: { id: string }) => id === 'rooftop-two-stage')
  expect(unit.calls).toEqual(['off', 'fan', 'cool1', 'cool2', 'heat1'])
  expect(json('points', 'rooftop-two-stage')).toContainEqual({
    id: 'TB.Y1',
    words: 'Terminal board: terminal Y1',
    zone: 'control',
  })
  expect(json('faults', 'rooftop-two-stage').length).toBeGreaterThan(250)
})

test('a unit is written as ladder text, which is the same unit when it is read', () => {
  const answer = run(['ladder', 'fan-coil-cooling'])
  const text = 'out' in answer ? answer.out : answer.error
  expect([...readLadder(text).wires.keys()]).toEqual([...builtInUnit('fan-coil-cooling').wires.keys()])
})

test('a reading has its value, unit and display', () => {
  const reading = json('read', 'rooftop-two-stage', '--call', 'cool1', '--meter', 'volts', 'TB.R', 'TB.C')
  expect(reading.unit).toBe('V')
  expect(reading.value).toBeGreaterThan(24)
  expect(reading.shows).toMatch(/^2\d\.\d V$/)
  const open = json(
    'read',
    'rooftop-two-stage',
    '--call',
    'off',
    '--power',
    'off',
    '--meter',
    'ohms',
    '--fault',
    'CC1:coil-open',
    'CC1.A1',
    'CC1.A2',
  )
  expect(open).toEqual({ value: null, unit: 'Ω', shows: 'OL' })
})

test.each([
  [['fly'], /unknown verb/],
  [['points', 'rooftop-two-stag'], /nearest: rooftop-two-stage/],
  [['read', 'rooftop-two-stage', '--call', 'cool7', 'TB.R'], /cool7/],
  [['read', 'rooftop-two-stage', '--meter', 'ohms', 'TB.R'], /ohms on a live circuit/],
  [['read', 'rooftop-two-stage', '--fault', 'CC1:coil-opne', 'TB.R'], /nearest: CC1:coil-open/],
  [['read', 'rooftop-two-stage', 'TB.RR'], /nearest: TB\.R/],
  [['read', 'rooftop-two-stage', '--meter', 'amps', 'TB.R', 'TB.W1'], /wire/],
  [['diagnose', '/no/such/file'], /ENOENT|no such file/],
])('%j is refused with a clear message', (argv, message) => {
  expect(error(...argv)).toMatch(message)
})
