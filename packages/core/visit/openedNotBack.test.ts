import { builtInUnit } from '../units/index'
import type { EntryBody } from './entry'
import { openedNotBack } from './openedNotBack'
import { logOf } from './testLog'
import { foldVisit } from './visitState'

const pump = builtInUnit('package-heat-pump')
const named = (...entries: readonly EntryBody[]) => openedNotBack(pump, foldVisit(logOf(entries), pump))
const blown: EntryBody = { kind: 'observation', what: 'blown', of: 'FU' }
const tripped: EntryBody = { kind: 'observation', what: 'tripped', of: 'BR1' }
const repaired: EntryBody = { kind: 'repair', of: 'HC1' }

test('a fuse that was seen blown is to be renewed once what blew it is repaired, and not before', () => {
  expect(named(blown)).toEqual([])
  expect(named(blown, repaired)).toEqual([{ of: 'FU', back: 'renewed' }])
  expect(named(blown, repaired, { kind: 'repair', of: 'FU' })).toEqual([])
})

test('a breaker is to be reset; a float switch that tripped is no fuse', () => {
  const wet: EntryBody = { kind: 'observation', what: 'tripped', of: 'FLT' }
  const reset: EntryBody = { kind: 'action', do: 'reset', of: 'BR1' }
  expect(named(tripped, wet, repaired)).toEqual([{ of: 'BR1', back: 'reset' }])
  expect(named(tripped, repaired, reset)).toEqual([])
})

test('what opens once more is to be put back once more, when something else is repaired', () => {
  const again: readonly EntryBody[] = [blown, repaired, { kind: 'repair', of: 'FU' }, blown]
  expect(named(...again)).toEqual([])
  expect(named(...again, { kind: 'repair', of: 'HC2' })).toEqual([{ of: 'FU', back: 'renewed' }])
})

test('an entry that does not fit what came before it keeps nobody from what is to be put back', () => {
  expect(named(blown, { kind: 'call', call: 'no such call' }, repaired)).toEqual([
    { of: 'FU', back: 'renewed' },
  ])
})
