import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { brief, doubtAbout } from './briefing'
import { judge } from './diagnose'
import { likelihood, tolerances } from './likelihood'

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

test('at the pad some volts on a dead point are asked about as a phantom, more are not', () => {
  const doubt = (meter: 'volts' | 'loz', value: number): string =>
    doubtAbout(
      judge(diagram, { complaint: 'not-cooling', entries: upToTheSwitch }),
      meter,
      'LPS1.2',
      'TB.C',
      value,
    )
  expect(doubt('volts', 5)).toMatch(/5\.0 V may be a phantom/)
  expect(doubt('loz', 5)).toMatch(/No state of this circuit/)
  expect(doubt('volts', 90)).toMatch(/No state of this circuit/)
  expect(doubt('volts', 0.2)).toBe('')
})
