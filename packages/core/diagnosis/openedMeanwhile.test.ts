import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { judge } from './diagnose'
import { openedMeanwhile } from './openedMeanwhile'
import { trackWith } from './testTrack'
import { sumOfLogs, type Track, type Weigher } from './tracks'

const track = (share: number, known: Partial<Track>): Track =>
  trackWith({ logWeight: Math.log(share), ...known })
const yetToOpen = track(0.7, { opens: ['drawn'] })
const opened = track(0.3, { blown: 'drawn' })

/** A dead circuit: a tripped one reads so, and one of two states of what may just have tripped. */
const dead: Weigher = (_, each) => ({
  ...each,
  logWeight: each.logWeight + Math.log(each.blown === 'not' ? (0.98 + 0.02) / 2 : 0.98),
})
const live: Weigher = (_, each) => ({
  ...each,
  logWeight: each.logWeight + Math.log(each.blown === 'not' ? (0.98 + 0.02) / 2 : 0.02),
})
const shareOf = (tracks: readonly Track[], wanted: Track['blown']): number =>
  Math.exp(sumOfLogs(tracks.filter(({ blown }) => blown === wanted)) - sumOfLogs(tracks))

test('remembering what has tripped makes no evidence likelier or less likely', () => {
  for (const weigh of [dead, live])
    for (const share of [0, 0.2, 0.5, 1]) {
      const plainly = sumOfLogs([yetToOpen, opened].map((each) => weigh(0, each)))
      const remembered = openedMeanwhile(weigh, () => share)(0, [yetToOpen, opened])
      expect(sumOfLogs(remembered)).toBeCloseTo(plainly, 12)
    }
})

test('what reads dead has tripped for good, and what reads live has not yet', () => {
  const half = () => 0.5
  const before = [yetToOpen, opened]
  expect(shareOf(openedMeanwhile(dead, half)(0, before), 'drawn')).toBeGreaterThan(0.97)
  expect(shareOf(openedMeanwhile(live, half)(0, before), 'drawn')).toBeLessThan(0.05)
})

test('what is impossible on every account stays so on each', () => {
  const nothing: Weigher = (_, each) => ({ ...each, logWeight: -Infinity })
  const after = openedMeanwhile(nothing, () => 1)(0, [yetToOpen, opened])
  expect(after.every(({ logWeight }) => logWeight === -Infinity)).toBe(true)
})

const inHeat: readonly EntryBody[] = [
  { kind: 'call', call: 'heat1' },
  { kind: 'observation', what: 'code', of: 'PM', words: 'dark' },
  { kind: 'reading', meter: 'volts', from: 'XF.S1', to: 'XF.S2', value: 0 },
]

test('a breaker that opened while cooling was looked at stays open when heat is called', () => {
  const said = judge(builtInUnit('rooftop-two-stage'), {
    complaint: 'warm-afternoons',
    entries: [
      { kind: 'observation', what: 'pulled-in', of: 'CC2' },
      { kind: 'reading', meter: 'volts', from: 'XF.S1', to: 'XF.S2', value: 25 },
      { kind: 'observation', what: 'code', of: 'PM', words: 'dark' },
      { kind: 'reading', meter: 'volts', from: 'XF.S1', to: 'XF.S2', value: 0 },
      ...inHeat,
    ],
  })
  const { hypotheses } = said.model
  const condenserFan = hypotheses.findIndex(({ id }) => id === 'FM1:main-shorted')
  const blower = hypotheses.findIndex(({ id }) => id === 'IFM:winding1-shorted')
  // the fan of the condenser draws nothing in heat, the blower does: either has opened the breaker before
  for (const h of [condenserFan, blower])
    for (const piece of said.belief.weight.slice(-2)) expect(piece[h]).toBeGreaterThan(Math.log(0.7))
})
