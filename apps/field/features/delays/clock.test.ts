import type { EntryBody } from '@jokulgale/core/visit/entry'
import { foldVisit } from '@jokulgale/core/visit/visitState'
import { builtInUnit } from '@jokulgale/core/units/index'
import { overToSay, runningDelays, waitToSay } from './clock'

const delays = [
  { words: 'Thermostat', seconds: 300 },
  { words: 'Phase monitor', seconds: 5 },
]
const calledAt = 1_000_000

const visit = (...bodies: readonly EntryBody[]) => {
  const all: readonly EntryBody[] = [{ kind: 'call', call: 'cool1' }, ...bodies]
  return {
    bodies: all,
    state: foldVisit(
      all.map((body, k) => ({
        id: `${k}`,
        visit: 'v',
        by: 'p',
        clock: { wall: calledAt + k, counter: 0, device: 'd' },
        body,
      })),
      builtInUnit('rooftop-two-stage'),
    ),
  }
}

test('a delay runs down from when the call was set, however often the screen is opened', () => {
  const { state } = visit()
  expect(runningDelays(state, delays, calledAt + 2_000).map(({ secondsLeft }) => secondsLeft)).toEqual([
    3, 298,
  ])
  expect(runningDelays(state, delays, calledAt + 299_500)).toMatchObject([
    { words: 'Thermostat', secondsLeft: 1 },
  ])
  expect(runningDelays(state, delays, calledAt + 301_000)).toEqual([])
})

test('whoever knows that it is over says so, and nothing runs any more', () => {
  const before = visit()
  const after = visit(overToSay(before.bodies, delays))
  expect(runningDelays(after.state, delays, calledAt + 3_000)).toEqual([])
  expect(waitToSay(after.state, after.bodies, delays, calledAt + 3_000)).toBeNull()
})

test('a reading while a delay runs is put into its time, once', () => {
  const { state, bodies } = visit()
  const wait = waitToSay(state, bodies, delays, calledAt + 40_000)
  expect(wait).toEqual({ kind: 'wait', seconds: 40 })
  const later = visit({ kind: 'wait', seconds: 40 })
  expect(waitToSay(later.state, later.bodies, delays, calledAt + 100_000)).toEqual({
    kind: 'wait',
    seconds: 60,
  })
})

test('a reading in the very second of the call is put into its time too: unsaid, every delay would count as over', () => {
  const { state, bodies } = visit()
  expect(waitToSay(state, bodies, delays, calledAt + 300)).toEqual({ kind: 'wait', seconds: 0 })
  const again = visit({ kind: 'wait', seconds: 0 })
  expect(waitToSay(again.state, again.bodies, delays, calledAt + 400)).toBeNull()
})
