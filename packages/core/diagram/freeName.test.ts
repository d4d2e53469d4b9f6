import { builtInUnit } from '../units/index'
import { freeName } from './freeName'

const diagram = builtInUnit('fan-coil-cooling')

test('a new part is called by the first letters of its words, and numbered where that is taken', () => {
  expect(freeName(diagram, 'low-pressure switch')).toBe('LPS2')
  expect(freeName(diagram, 'external relay')).toBe('ER')
})

test('a word alone gives more than a letter, which would be a terminal’s name', () => {
  expect(freeName(diagram, 'relay')).toBe('REL')
  expect(freeName(diagram, 'contactor')).toBe('CON')
})
