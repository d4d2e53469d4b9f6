import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { brief, briefSoFar } from './briefing'

const cooling: readonly EntryBody[] = [
  { kind: 'arrived' },
  { kind: 'call', call: 'cool1' },
  { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 26.1, typed: '26.1' },
]

test.each([
  ['fan-coil-cooling', [] as const],
  ['fan-coil-cooling', cooling],
])(
  '%s: what is known before the steps is what is known after them, but for asks and proofs',
  (unit, entries) => {
    const diagram = builtInUnit(unit)
    const file = { complaint: diagram.complaints[0].id, entries }
    const { suspects: soFar, groups: _, asks: none, ...rest } = briefSoFar(diagram, file)
    const whole = brief(diagram, file)
    const { suspects, groups: __, asks, ...wholeRest } = whole
    expect(none).toEqual([])
    expect(asks.length).toBeGreaterThan(0)
    expect(rest).toEqual(wholeRest)
    expect(soFar).toEqual(suspects.map((suspect) => ({ ...suspect, proof: '' })))
    expect(soFar.length).toBeGreaterThan(0)
  },
)
