import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { askOf } from './asks'
import { diagnose } from './diagnose'

const unit = builtInUnit('rooftop-480')
const volts = (from: string, value: number): EntryBody => ({
  kind: 'reading',
  meter: 'volts',
  from,
  to: 'TB.C',
  value,
})
const condition = (of: string, value: number): EntryBody => ({ kind: 'condition', of, value })
/** Live up to the low-pressure switch, charge and weather as they should be, nothing at the contactor. */
const soFar: readonly EntryBody[] = [
  condition('outdoorDryBulb', 80),
  condition('suctionPressure', 125),
  condition('dischargePressure', 340),
  condition('coilTemperature', 52),
  { kind: 'call', call: 'cool1' },
  volts('LPS1.1', 25.6),
  volts('CC1.A1', 0),
]
const found = (...entries: readonly EntryBody[]) =>
  diagnose(unit, { complaint: 'no-cooling', entries: [...soFar, ...entries] })
const askedAgain = ({ next }: ReturnType<typeof found>) =>
  next.filter((step) => step.do === 'measure' && step.again === 'decides')
const dead = volts('LPS1.2', 0)

test('a reading of nothing that a verdict hangs on is asked for once more, first, in words', () => {
  const once = found(dead)
  const [first] = once.next
  expect(first).toMatchObject({ do: 'measure', from: 'LPS1.2', to: 'TB.C', again: 'decides' })
  expect(askOf(once, first).reason).toMatch(/^Once more, leads pressed on clean metal/)
})

test('it is not asked for a third time, nor one that is not zero, nor while there is no verdict', () => {
  expect(askedAgain(found(dead, dead))).toEqual([])
  expect(askedAgain(found(volts('LPS1.2', 25.5)))).toEqual([])
  expect(askedAgain(found())).toEqual([])
})

test('the same once more makes the verdict firm, another value takes it back', () => {
  const share = (of: string, entries: readonly EntryBody[]): number => {
    const { model, belief } = found(...entries)
    return model.hypotheses.reduce(
      (sum, hypothesis, h) => (hypothesis.of.includes(of) ? sum + belief.probability[h] : sum),
      0,
    )
  }
  const once = share('LPS1', [dead])
  expect(share('LPS1', [dead, dead])).toBeGreaterThan(once)
  expect(share('LPS1', [dead, volts('LPS1.2', 25.5)])).toBeLessThan(once / 2)
})
