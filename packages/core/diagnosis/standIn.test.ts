import { builtInUnit } from '../units/index'
import type { EntryBody, StandInResult } from '../visit/entry'
import { judge } from './diagnose'
import { isShort } from './resistance'

const unit = builtInUnit('air-handler-heat')

/** What shorts of the control circuit have together, with no call, after a stand-in did that. */
function shares(result: StandInResult): { readonly feeders: number; readonly called: number } {
  const entries: readonly EntryBody[] = [
    { kind: 'observation', what: 'blown', of: 'FU' },
    { kind: 'call', call: 'off' },
    { kind: 'stand-in', of: 'FU', amps: 3, result },
  ]
  const { model, belief } = judge(unit, { complaint: 'blank-thermostat', entries })
  const held = (isOne: (part: string) => boolean): number =>
    model.hypotheses.reduce(
      (sum, { faults }, h) =>
        faults.length === 1 && isShort(faults[0]) && isOne(faults[0].of) ? sum + belief.probability[h] : sum,
      0,
    )
  return { feeders: held((of) => of === 'TB.R-TS.R'), called: held((of) => /^(IFC|HC\d)$/.test(of)) }
}

test('what opens a stand-in at once in off is fed in off; what it holds with is called by something', () => {
  const [opens, holds] = [shares('trips-at-once'), shares('holds')]
  expect(opens.feeders).toBeGreaterThan(0.3)
  expect(opens.called).toBeLessThan(0.1)
  expect(holds.feeders).toBeLessThan(0.02)
  expect(holds.called).toBeGreaterThan(5 * opens.called)
})
