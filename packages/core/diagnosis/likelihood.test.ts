import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { brief } from './briefing'
import { judge } from './diagnose'
import { likelihood, tolerances } from './likelihood'
import { doubtAbout } from './typedDoubt'

test('of what a meter of volts or amps may read, all probability is spread and no more', () => {
  const step = 0.01
  for (const meter of ['volts', 'loz', 'amps'] as const)
    for (const predicted of [0, 0.5, 3, 24, tolerances[meter].span / 3]) {
      let whole = 0
      for (let value = -2 * tolerances[meter].floor; value < 2 * tolerances[meter].span; value += step)
        whole += step * likelihood(meter, value, predicted)
      expect(whole).toBeGreaterThan(0.95)
      expect(whole).toBeLessThan(1.03)
    }
})

const diagram = builtInUnit('rooftop-480')
const read = (meter: 'volts' | 'loz', from: string, value: number): EntryBody => ({
  kind: 'reading',
  meter,
  from,
  to: 'TB.C',
  value,
})
const upToTheSwitch = [read('volts', 'TB.R', 25.6), read('volts', 'LPS1.1', 25.2)]
const briefed = (...entries: readonly EntryBody[]) =>
  brief(diagram, { complaint: 'not-cooling', entries: [...upToTheSwitch, ...entries] })

test('some volts picked up behind an open switch do not clear it, and are to be read again with the low-impedance function', () => {
  for (const value of [1.5, 3.1, 6]) {
    const { suspects, warning } = briefed(read('volts', 'LPS1.2', value))
    expect(suspects[0].of).toEqual(['LPS1'])
    expect(warning === '' || /phantom.*low-impedance/.test(warning)).toBe(true)
  }
  // more may be a switch that makes badly: it is asked about at the pad
  expect(briefed(read('volts', 'LPS1.2', 11)).suspects[0].of).toEqual(['LPS1'])
})

test('a low-impedance meter shows no phantom: nothing there settles it, volts there are no phantom', () => {
  const settled = briefed(read('volts', 'LPS1.2', 3.1), read('loz', 'LPS1.2', 0))
  expect(settled.suspects[0].of).toEqual(['LPS1'])
  expect(briefed(read('loz', 'LPS1.2', 3.1)).warning).not.toMatch(/phantom/)
})

test('at the pad some volts on a dead point may be a phantom, and what nothing gives a slip', () => {
  const doubt = (meter: 'volts' | 'loz', value: number): string =>
    doubtAbout(
      judge(diagram, { complaint: 'not-cooling', entries: upToTheSwitch }),
      meter,
      'LPS1.2',
      'TB.C',
      value,
    )
  expect(doubt('volts', 5)).toMatch(/5\.0 V may be a phantom/)
  // a switch that makes badly gives it, at some of its ohms
  expect(doubt('loz', 5)).toBe('')
  expect(doubt('loz', 90)).toMatch(/No state of this circuit/)
  expect(doubt('volts', 90)).toMatch(/No state of this circuit/)
  expect(doubt('volts', 0.2)).toBe('')
})

/** What a technician types, and what the digits leave out of it. */
const typed = (rounding: number) => ({ mean: 0, variance: 0, rounding, nominal: 0 })

test('a number that lost its last digit is as coarse as what is left of it', () => {
  // 26.2 V typed as 2.6 and put down as 3: ten times 3 is 30, and may be anything from 25 to 35
  const coarse = likelihood('volts', 3, 26.2, typed(1 / Math.sqrt(12)))
  const fine = likelihood('volts', 3, 26.2, typed(0.1 / Math.sqrt(12)))
  expect(coarse).toBeGreaterThan(10 * fine)
  expect(likelihood('volts', 2.6, 26.2, typed(0.1 / Math.sqrt(12)))).toBeGreaterThan(10 * fine)
})

test('ohms are blundered as volts are: leads that touch each other or nothing, a number off by ten', () => {
  const elsewhere = likelihood('ohms', 4000, 13)
  expect(likelihood('ohms', 0, 70)).toBeGreaterThan(3 * elsewhere)
  expect(likelihood('ohms', null, 70)).toBeGreaterThan(3 * elsewhere)
  expect(likelihood('ohms', 1.4, 13)).toBeGreaterThan(2 * likelihood('ohms', 3, 60))
  // a good reading is far likelier than any blunder
  expect(likelihood('ohms', 13, 13)).toBeGreaterThan(50 * likelihood('ohms', 1.4, 13))
})

test('a fault whose ohms nobody knows learns the supply from readings on which they do not tell', () => {
  const warm = builtInUnit('package-heat-pump')
  const volts = (from: string): EntryBody => ({
    kind: 'reading',
    meter: 'volts',
    from,
    to: 'TB.C',
    value: 27.4,
  })
  const { belief, model } = judge(warm, {
    complaint: 'no-heat',
    entries: [{ kind: 'call', call: 'cool1' }, volts('TB.R'), volts('DF.R')],
  })
  const burnt = model.hypotheses.findIndex(({ id }) => id === 'HC2:pole1-burnt')
  const open = model.hypotheses.findIndex(({ id }) => id === 'HC2:pole1-open')
  expect(belief.factors[burnt]?.known('supply')?.mean).toBeCloseTo(
    belief.factors[open]?.known('supply')?.mean ?? NaN,
    2,
  )
  expect(belief.factors[burnt]?.known('supply')?.mean).toBeGreaterThan(0.01)
})

test('a heater with half of its elements is no broken leg: its legs stand to each other as they should', () => {
  const handler = builtInUnit('air-handler-heat')
  const amps = (wire: readonly [string, string], value: number): EntryBody => ({
    kind: 'reading',
    meter: 'amps',
    from: wire[0],
    to: wire[1],
    value,
  })
  const legs = (values: readonly [number, number, number]) =>
    brief(handler, {
      complaint: 'no-heat',
      entries: [
        { kind: 'call', call: 'heat2' },
        ...values.map((value, k) => amps([`HC2.T${k + 1}`, `HB2.${k + 1}`], value)),
      ],
    }).suspects
  const half = legs([9.1, 9, 9.2]).filter(({ of, probability }) => of.includes('HB2') && probability > 0.5)
  expect(half).toEqual([])
  // one element of a delta open: two legs of 1/√3 beside one that is whole, here at half the watts
  expect(legs([9, 5.2, 5.2])[0].id).toMatch(/^HB2:element/)
})
