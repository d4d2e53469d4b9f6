import { Circuit } from '../circuit/circuit'
import { loadAmps } from '../circuit/loadAmps'
import { implausible } from '../circuit/plausible'
import { situationOf } from '../circuit/situation'
import { sketchOf } from '../diagnosis/sketch'
import { readLadder } from '../diagram/readLadder'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '../units/index'
import { changeText, workOf } from './changeText'
import { circuitChange } from './circuitChange'
import { readyChanges } from './readyChanges'

const all = builtInUnitIds.flatMap((id) =>
  readyChanges(builtInUnit(id)).map((change) => [id, change.words, change] as const),
)

test.each(all)('%s: %s leaves a circuit with all its guards, and sizes as they may be', (id, _, { make }) => {
  const edit = make(builtInUnitText(id))
  const after = readLadder(edit.is === 'text' ? edit.text : edit.message)
  const { lostGuards, leads, parts } = circuitChange(builtInUnit(id), after)
  expect(lostGuards).toEqual([])
  expect(implausible(after)).toEqual([])
  expect(leads.length + parts.length).toBeGreaterThan(1)
})

test('a drive is passed by: the motor across the line in the calls that ran it, and never else', () => {
  const id = 'air-handler-drive-running'
  const [change] = readyChanges(builtInUnit(id))
  const edit = change.make(builtInUnitText(id))
  const after = readLadder(edit.is === 'text' ? edit.text : edit.message)
  const amps = (call: string): number =>
    loadAmps(new Circuit(after, situationOf(after, call)).healthy).get('IFM') ?? 0
  for (const call of ['fan', 'heat2', 'cool1']) expect(amps(call)).toBeCloseTo(7.6, 0)
  expect(amps('off')).toBe(0)
  const [strip] = sketchOf(edit.is === 'text' ? edit.text : '', 'fan').strips
  expect(strip.stops.map(({ point }) => point)).toEqual(expect.arrayContaining(['OL.2', 'BC.A1']))
  const { parts, leads, prove, tooMuch } = circuitChange(builtInUnit(id), after)
  expect(tooMuch).toEqual([])
  expect(workOf({ parts, leads })).toEqual(
    expect.arrayContaining([
      'Fit Bypass contactor (BC), in Drive enclosure',
      'Move black 14, which stays on IFM.T1: off VD.T1, onto BC.T1',
      'Move green 701, which stays on OL.2: off VD.RUN, onto BC.A1',
    ]),
  )
  expect(prove.map(({ id: call }) => call)).toEqual(expect.arrayContaining(['off', 'fan', 'heat1', 'cool1']))
})

const ready = (id: string, change: string): string => {
  const edit = readyChanges(builtInUnit(id))
    .find((each) => each.id === change)
    ?.make(builtInUnitText(id))
  if (edit?.is !== 'text') throw new Error(edit?.message ?? `${id} has no ${change}`)
  return edit.text
}
const runsIn = (text: string, call: string, at: Readonly<Record<string, number>> = {}): readonly string[] => {
  const diagram = readLadder(text)
  return [...loadAmps(new Circuit(diagram, situationOf(diagram, call, 'on', at)).healthy)]
    .filter(([, amps]) => amps > 1)
    .map(([load]) => load)
}

test('with the economizer out of the path, cool air outside keeps no compressor off', () => {
  const id = 'rooftop-two-stage'
  const cool = { outdoorDryBulb: 55 }
  expect(runsIn(builtInUnitText(id), 'cool1', cool)).not.toContain('C1')
  const after = ready(id, 'lead-past EC')
  expect(runsIn(after, 'cool1', cool)).toContain('C1')
  expect(runsIn(after, 'off', cool)).toEqual([])
  // what the controller stood between is one lead now
  const { leads } = circuitChange(builtInUnit(id), readLadder(after))
  expect(leads.map(({ is }) => is).sort()).toEqual(['moved', 'moved', 'taken-out', 'taken-out'])
})

test('with a proving board passed by, its stage runs with the loop open, and each switch still stops it', () => {
  const id = 'package-proving'
  const after = readLadder(ready(id, 'lead-past PB1'))
  const circuit = new Circuit(after, situationOf(after, 'cool1'))
  const amps = (...opened: readonly string[]): number =>
    loadAmps(circuit.vary(opened.map((branch) => ({ does: 'hold' as const, branch, state: 'open' })))).get(
      'C1',
    ) ?? 0
  expect(amps()).toBeGreaterThan(5)
  expect(amps('PB1/output')).toBeGreaterThan(5)
  for (const guard of ['LPS1', 'HPS1']) expect(amps(`${guard}/contact`)).toBeLessThan(0.01)
})

test.each([
  ['rooftop-two-stage', 'lead-past EC', /outdoor air/],
  ['package-proving', 'lead-past PB2', /180 s between two starts/],
  ['split-heat-pump', 'lead-past DF', /frosts over/],
  ['air-handler-drive-running', 'pass-by VD', /soft start/],
])('%s, %s: what is given up is said, on the screen and on the list', (id, change, words) => {
  const made = circuitChange(builtInUnit(id), readLadder(ready(id, change)))
  expect(made.givenUp).toEqual([expect.stringMatching(words)])
  expect(changeText('AH-9', made)).toMatch(words)
  expect(circuitChange(builtInUnit(id), builtInUnit(id)).givenUp).toEqual([])
})

test.each(['fan-coil-cooling', 'fan-coil-two-pipe', 'split-heat-pump'])(
  '%s: an external relay runs the blower when the contact of the one on the board is burnt',
  (id) => {
    const after = readLadder(ready(id, 'pass-by GR'))
    const circuit = new Circuit(after, situationOf(after, 'fan'))
    const burnt = circuit.vary([{ does: 'open', branch: 'GR/made1' }])
    expect(loadAmps(burnt).get('IFM')).toBeGreaterThan(0.5)
    expect(loadAmps(new Circuit(after, situationOf(after, 'off')).healthy).get('IFM') ?? 0).toBeLessThan(0.01)
  },
)

test('what has a control fuse gets no other, and a drive that is passed by is not passed by again', () => {
  expect(readyChanges(builtInUnit('fan-coil-cooling')).map(({ id }) => id)).toEqual(['pass-by GR'])
  expect(readyChanges(builtInUnit('air-handler-drive'))).toEqual([])
  expect(readyChanges(builtInUnit('package-heat-pump-unfused')).map(({ words }) => words)).toContain(
    'A fuse behind Control transformer (XF)',
  )
})
