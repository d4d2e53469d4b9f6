import { builtInUnit } from '../units/index'
import type { EntryBody } from './entry'
import { openedNotBack } from './openedNotBack'

const pump = builtInUnit('package-heat-pump')
const blown: EntryBody = { kind: 'observation', what: 'blown', of: 'FU' }
const tripped: EntryBody = { kind: 'observation', what: 'tripped', of: 'BR1' }
const repaired: EntryBody = { kind: 'repair', of: 'HC1' }

test('a fuse that was seen blown is to be renewed once what blew it is repaired, and not before', () => {
  expect(openedNotBack(pump, [blown])).toEqual([])
  expect(openedNotBack(pump, [blown, repaired])).toEqual([{ of: 'FU', back: 'renewed' }])
  expect(openedNotBack(pump, [blown, repaired, { kind: 'repair', of: 'FU' }])).toEqual([])
})

test('a breaker is to be reset; a float switch that tripped is no fuse', () => {
  const wet: EntryBody = { kind: 'observation', what: 'tripped', of: 'FLT' }
  const reset: EntryBody = { kind: 'action', do: 'reset', of: 'BR1' }
  expect(openedNotBack(pump, [tripped, wet, repaired])).toEqual([{ of: 'BR1', back: 'reset' }])
  expect(openedNotBack(pump, [tripped, repaired, reset])).toEqual([])
})

test('what opens once more is to be put back once more, when something else is repaired', () => {
  const again: readonly EntryBody[] = [blown, repaired, { kind: 'repair', of: 'FU' }, blown]
  expect(openedNotBack(pump, again)).toEqual([])
  expect(openedNotBack(pump, [...again, { kind: 'repair', of: 'HC2' }])).toEqual([
    { of: 'FU', back: 'renewed' },
  ])
})
