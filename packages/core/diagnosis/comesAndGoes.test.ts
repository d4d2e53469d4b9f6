import fc from 'fast-check'
import { waited } from './comesAndGoes'
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
