import { Circuit } from '../circuit/circuit'
import { loadAmps } from '../circuit/loadAmps'
import { implausible } from '../circuit/plausible'
import { situationOf } from '../circuit/situation'
import { sketchOf } from '../diagnosis/sketch'
import { readLadder } from '../diagram/readLadder'
import { builtInUnit, builtInUnitIds, builtInUnitText } from '../units/index'
import { workOf } from './changeText'
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

test('what has a control fuse, or no drive, has nothing ready', () => {
  expect(readyChanges(builtInUnit('fan-coil-cooling'))).toEqual([])
  expect(readyChanges(builtInUnit('air-handler-drive'))).toEqual([])
  expect(readyChanges(builtInUnit('package-heat-pump-unfused')).map(({ words }) => words)).toEqual([
    'A fuse behind Control transformer (XF)',
  ])
})
