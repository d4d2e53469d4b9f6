import Papa from 'papaparse'
import { builtInUnit } from '../units/index'
import { wireListCsv } from './wireListCsv'

test('every wire is a row with both of its ends, and comes back as it was', () => {
  const diagram = builtInUnit('rooftop-480')
  const { data, errors } = Papa.parse<Record<string, string>>(wireListCsv(diagram), { header: true })
  expect(errors).toEqual([])
  expect(data.map(({ from, to, color, number, wiring }) => ({ from, to, color, number, wiring }))).toEqual(
    [...diagram.wires.values()].map(({ from, to, color, number, wiring }) => ({
      from,
      to,
      color,
      number,
      wiring,
    })),
  )
  expect(data.every((row) => Object.values(row).every((cell) => cell !== ''))).toBe(true)
})
