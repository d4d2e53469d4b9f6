import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { brief } from './briefing'
import { restartWords } from './restartLoop'

const unfused = builtInUnit('package-heat-pump-unfused')
const suspectAfter = (id: string, ...entries: readonly EntryBody[]) =>
  brief(unfused, { complaint: 'comes-and-goes', entries }).suspects.find((suspect) => suspect.id === id)

test('a coil shorted inside with no fuse is said with the period of the restart', () => {
  const emergency: EntryBody = { kind: 'call', call: 'emergency' }
  const low: EntryBody = { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 4 }
  const cool: EntryBody = { kind: 'call', call: 'cool1' }
  const fine: EntryBody = { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 26 }
  expect(suspectAfter('HC2:coil-shorted', cool, fine, emergency, low)?.restarts).toMatch(
    /starts over every 6\d s/,
  )
  // in a call that does not feed the coil it rests
  expect(suspectAfter('HC2:coil-shorted', emergency, low, cool, fine)?.restarts).toBe('')
})

test('a loop of minutes is said in minutes, one of a blink as chatter, none not at all', () => {
  expect(restartWords(361)).toContain('every 6 min')
  expect(restartWords(0.05)).toContain('chatters')
  expect(restartWords(null)).toBe('')
})
