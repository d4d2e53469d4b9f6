import fc from 'fast-check'
import { cycleAtFirst, stays, waited } from './comesAndGoes'
import { Factors } from './factors'
import type { Track } from './tracks'

const track = (present: number): Track => ({
  logWeight: 0,
  factors: new Factors(),
  where: null,
  blown: 'not',
  opens: [],
  present,
  cycle: cycleAtFirst,
  stays,
  late: false,
  around: null,
})

test('the longer the wait, the less is known of what comes and goes', () => {
  fc.assert(
    fc.property(fc.nat({ max: 3600 }), fc.nat({ max: 3600 }), (less, more) => {
      const [soon, late] = [less, less + more].map((seconds) => waited(track(0.6), seconds).stays)
      expect(soon).toBeLessThanOrEqual(stays)
      expect(late).toBeLessThanOrEqual(soon)
      expect(late).toBeGreaterThanOrEqual(0.5)
    }),
  )
})
