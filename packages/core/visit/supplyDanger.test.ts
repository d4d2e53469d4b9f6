import { brief } from '../diagnosis/briefing'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { entryProblem } from './checkEntry'
import type { EntryBody } from './entry'
import { signOffProblems } from './signOff'
import { supplyChoices } from './supplyChoices'
import { supplyDanger } from './supplyDanger'
import { logOf } from './testLog'
import { foldVisit, powerOnProblems } from './visitState'

const unit = builtInUnit('rooftop-two-stage')
const volts = (from: string, to: string, value: number) => ({
  kind: 'reading' as const,
  meter: 'volts' as const,
  from,
  to,
  value,
})

test.each([
  [volts('LB.L1', 'LB.L2', 480), true],
  [volts('LB.L1', 'EARTH', 277), true],
  // its transformer has a tap for 240 V: ten per cent above that is a high supply, and no other
  [volts('LB.L1', 'LB.L2', 262), false],
  // the capacitor side of a motor is above the line by itself
  [volts('FM1.C', 'FM1.S', 330), false],
  // nobody has that: it is a number typed wrong by ten
  [volts('LB.L1', 'LB.L2', 2080), false],
])('%j: nothing in a unit for 208 and 240 V bears it: %s', (reading, isDanger) => {
  expect(supplyDanger(unit, [reading]) !== null).toBe(isDanger)
})

/** What is read and believed at most: more is a number typed wrong. */
const mostRead = 699

test.each(builtInUnitIds)('%s: its own supply, a tenth high, is no danger', (id) => {
  const diagram = builtInUnit(id)
  const supply = [...diagram.parts.values()].find(({ kind }) => kind.nominalVolts)
  const nominal = supply?.kind.nominalVolts?.(supply.settings) ?? 0
  const [from, to = 'EARTH'] = [...diagram.wires.values()]
    .filter(({ wiring, from: end }) => wiring === 'line' && end.startsWith(`${supply?.id ?? ''}.L`))
    .map(({ from: end }) => end)
  expect(supplyDanger(diagram, [volts(from, to, 1.1 * nominal)])).toBeNull()
  const bears = supplyDanger(diagram, [volts(from, to, mostRead)])?.bears ?? 0
  expect(bears).toBeGreaterThanOrEqual(nominal)
  expect(supplyDanger(diagram, [volts(from, to, 1.4 * bears)])).not.toBeNull()
})

const call: EntryBody = { kind: 'call', call: 'cool1' }
const found = volts('LB.L1', 'LB.L2', 480)

test('it is the first thing said, and nothing is asked for with power', () => {
  const { warning, asks } = brief(unit, { complaint: 'not-cooling', entries: [call, found] })
  expect(warning).toMatch(/^480 V from LB\.L1 to LB\.L2: no tap and no load of a unit for 240 V bears that\./)
  expect(asks.filter((ask) => ask.do !== 'condition' && ask.power === 'on')).toEqual([])
})

test('power is held back and no repair is signed, until it reads otherwise', () => {
  const state = (...entries: readonly EntryBody[]) => foldVisit(logOf(entries), unit)
  const isolated: EntryBody = { kind: 'power', is: 'isolated' }
  expect(powerOnProblems(state(call, found, isolated), unit)).toHaveLength(1)
  expect(signOffProblems(state(call, found), unit)[0]).toMatch(/^480 V/)
  const mended = state(call, found, { kind: 'power', is: 'on' }, volts('LB.L2', 'LB.L1', 209))
  expect(powerOnProblems(mended, unit)).toEqual([])
})

test('a supply that was chosen is held against the unit too', () => {
  const chosen: EntryBody = { kind: 'supply', system: '480Y/277' }
  const state = foldVisit(logOf([call, chosen]), unit)
  expect(powerOnProblems(state, unit)[0]).toMatch(/^480 V of supply: no tap and no load of a unit for 240 V/)
  expect(supplyChoices(unit).map(({ system }) => system)).toContain('240 delta, L2 grounded')
  expect(supplyChoices(unit)[0].words).toBe('208Y/120: 208 V leg to leg, 120 V to ground')
})

test.each(['480 Y', '120/240', ''])('a supply “%s” is refused before it is kept', (system) => {
  expect(entryProblem(unit, { kind: 'supply', system })).toMatch(
    /cannot be on a supply .*208Y\/120; .*575Y\/332/,
  )
  expect(entryProblem(unit, { kind: 'supply', system: '240 delta' })).toBe('')
})
