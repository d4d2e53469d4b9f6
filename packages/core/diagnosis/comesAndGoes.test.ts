import fc from 'fast-check'
import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { waited } from './comesAndGoes'
import { judge } from './diagnose'
import { trackWith } from './testTrack'
import type { Track } from './tracks'

const track = (present: number): Track => trackWith({ present })

test('the longer the wait, the less is known of what comes and goes', () => {
  fc.assert(
    fc.property(fc.nat({ max: 3600 }), fc.nat({ max: 3600 }), (less, more) => {
      const [soon, late] = [less, less + more].map((seconds) => waited(track(0.6), seconds).stays)
      expect(soon).toBeLessThanOrEqual(track(0.6).keeps)
      expect(late).toBeLessThanOrEqual(soon)
      expect(late).toBeGreaterThanOrEqual(0.5)
    }),
  )
})

test('a pressure switch that opens and closes is no sign of a lead that comes and goes', () => {
  const unit = builtInUnit('split-heat-pump')
  const odds = (...entries: readonly EntryBody[]): number => {
    const { model, belief } = judge(unit, {
      complaint: 'not-cooling',
      entries: [{ kind: 'call', call: 'cool1' }, ...entries],
    })
    const share = (id: string): number =>
      belief.probability[model.hypotheses.findIndex((hypothesis) => hypothesis.id === id)]
    return share('CAP2.2-FM.S:open') / share('CAP2:plates-open')
  }
  const seen = [24, 0, 24, 0].map((value) => volts('LOC.1', value))
  expect(odds(...seen)).toBeLessThan(4 * odds())
})
