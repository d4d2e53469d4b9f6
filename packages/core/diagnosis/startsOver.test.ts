import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { judge } from './diagnose'

const unit = builtInUnit('rooftop-two-stage')
const cool: EntryBody = { kind: 'call', call: 'cool1' }

/** Odds of a burnt pole of the disconnect, behind which the phase monitor starts over, against a lead. */
function odds(...entries: readonly EntryBody[]): number {
  const { model, belief } = judge(unit, { complaint: 'not-cooling', entries: [cool, ...entries] })
  const share = (id: RegExp): number =>
    model.hypotheses.reduce((sum, { id: own }, h) => sum + (id.test(own) ? belief.probability[h] : 0), 0)
  return share(/^DS:pole\d-burnt$/) / share(/^TS\.Y1-TB\.Y1:/)
}
const atThermostat: EntryBody = volts('TS.Y1', 25, 'TS.C')

test('a unit that waits for minutes and runs for a blink seldom has a call standing', () => {
  expect(odds(atThermostat)).toBeLessThan(odds(volts('TB.R', 25)) / 2)
})

test('between two states that it stays in a reading lies seldom', () => {
  // an open lead picks up as much beside live ones
  for (const value of [9, 14]) expect(odds(atThermostat, volts('TB.Y1', value))).toBeLessThan(1)
})

test('who finds it running once finds it running again: it does not start over for one reading', () => {
  const lastTold = (...entries: readonly EntryBody[]): number => {
    const { model, belief } = judge(unit, { complaint: 'not-cooling', entries: [cool, ...entries] })
    const burnt = model.hypotheses.findIndex(({ id }) => id === 'DS:pole1-burnt')
    return belief.weight[entries.length - 1][burnt]
  }
  const [live, dead] = [25, 0].map((value) => volts('TB.Y1', value))
  const atCoil = volts('CC1.A1', 0)
  expect(lastTold(live, atCoil)).toBeLessThan(lastTold(dead, atCoil) - 1)
})
