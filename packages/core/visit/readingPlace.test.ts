import { builtInUnit } from '../units/index'
import { readingMarks, readingPlace } from './readingPlace'

const diagram = builtInUnit('rooftop-480')

test('a terminal that is named by what it leads to', () => {
  expect(readingPlace(builtInUnit('package-heat-pump'), { meter: 'volts', from: 'DF.Y', to: 'DF.CC' })).toBe(
    'Defrost control: compressor call, to the compressor contactor',
  )
})

test.each([
  ['volts', 'LPS1.2', undefined, 'LPS1.2 to TB.C', 'Low-pressure switch 1: out'],
  [
    'ohms',
    'CC1.A1',
    'CC1.A2',
    'CC1.A1 to CC1.A2',
    'Compressor contactor 1: coil, call side, to coil, common side',
  ],
  ['ohms', 'TB.R', 'EARTH', 'TB.R to ground', 'Terminal board: terminal R, to bare metal'],
  [
    'amps',
    'CC1.T1',
    'C1.T1',
    'CC1.T1 to C1.T1, in the wire',
    'Compressor contactor 1: load side, pole 1, in its wire to Compressor 1: lead 1',
  ],
] as const)('%s from %s to %s', (meter, from, to, marks, words) => {
  expect(readingMarks(diagram, { meter, from, to })).toBe(marks)
  expect(readingPlace(diagram, { meter, from, to })).toBe(words)
})
