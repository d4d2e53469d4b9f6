import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { judge } from './diagnose'
import { volts } from '../visit/testReadings'

const unit = builtInUnit('rooftop-480')
const leaderAfter = (...entries: readonly EntryBody[]): string => {
  const { model, ranked } = judge(unit, { complaint: 'not-cooling', entries })
  return model.hypotheses[ranked[0]].id
}

// half of the line's volts at a stand, nearly all of them running light: by its slip a motor makes anything
// between
test.each([250, 290, 340])('%d V to a leg that the motor makes itself is a lost leg', (made) => {
  const leader = leaderAfter(
    { kind: 'call', call: 'cool1' },
    { kind: 'observation', what: 'pulled-in', of: 'CC1' },
    volts('LF1.L1', 480, 'LF1.L2'),
    volts('CC1.L2', 480, 'CC1.L3'),
    volts('CC1.L1', made, 'CC1.L2'),
    volts('CC1.L1', made, 'CC1.L3'),
  )
  // a crankcase heater on its frame blows that fuse too, and leaves its leg on metal: 277 V to each other
  expect(leader).toMatch(/^LF1:fuse1-open|^LF1\.T1-CC1\.L1:open|^CH1:1-grounded/)
})

test('a monitor that flashes over right volts is set for others, or the legs are exchanged', () => {
  const { model, belief } = judge(unit, {
    complaint: 'not-cooling',
    entries: [
      { kind: 'call', call: 'cool1' },
      { kind: 'observation', what: 'code', of: 'PM', words: 'flashing' },
      volts('LB.L1', 480, 'LB.L2'),
      volts('LB.L2', 481, 'LB.L3'),
      volts('LB.L3', 479, 'LB.L1'),
      { kind: 'observation', what: 'dropped-out', of: 'CC1' },
    ],
  })
  const shareOf = (id: string) => belief.probability[model.hypotheses.findIndex((each) => each.id === id)]
  expect(shareOf('PM:set-narrow') + shareOf('SV:reversed')).toBeGreaterThan(0.4)
  expect(shareOf('PM:set-narrow')).toBeGreaterThan(5 * shareOf('PM:contact-open'))
})
