import { partOfPoint } from '../diagram/diagram'
import { wiresAt } from '../diagram/wireAt'
import { builtInUnit } from '../units/index'
import type { EntryBody } from './entry'
import { stillMovesIn } from './lateMovesIn'
import { signOffProblems } from './signOff'
import { logOf } from './testLog'
import { foldVisit } from './visitState'

const diagram = builtInUnit('rooftop-two-stage')

/** Why a visit with these entries, after a complaint about cooling, cannot be signed off as repaired. */
function problems(...bodies: readonly EntryBody[]): string {
  const all: readonly EntryBody[] = [{ kind: 'complaint', complaint: 'not-cooling' }, ...bodies]
  return signOffProblems(foldVisit(logOf(all), diagram), diagram, stillMovesIn(diagram)).join('; ')
}

const repair: EntryBody = { kind: 'repair', of: 'CC1' }
const proof = (call: string, more: Partial<EntryBody & { kind: 'proof' }> = {}): EntryBody => ({
  kind: 'proof',
  call,
  words: '',
  passed: true,
  values: [{ what: 'Compressor 1, at C1.T1', value: 15.5, unit: 'A', expected: 15.7 }],
  ...more,
})

const read: EntryBody = { kind: 'reading', meter: 'amps', from: 'CC1.T1', to: 'C1.T1', value: 15.2 }
const set = (call: string): EntryBody => ({ kind: 'call', call })
const power = (is: 'on' | 'isolated'): EntryBody => ({ kind: 'power', is })

test('a repair that is proven in the call that was complained of may be signed', () => {
  expect(problems(repair, proof('cool1'))).toBe('')
})

test.each<[string, readonly EntryBody[], RegExp]>([
  [
    'a lead is off',
    [repair, { kind: 'action', do: 'lift', of: 'TS.Y1-TB.Y1' }, proof('cool1')],
    /TS\.Y1-TB\.Y1 is still off/,
  ],
  [
    'a plug is out',
    [repair, { kind: 'action', do: 'unplug', of: 'PL' }, proof('cool1')],
    /Economizer plug is still out/,
  ],
  [
    'a bridge is on',
    [repair, { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.Y1' }, proof('cool1')],
    /still on/,
  ],
  [
    'a stand-in is in',
    [{ kind: 'stand-in', of: 'FU', amps: 3, result: 'holds' }, repair, proof('cool1')],
    /stand-in is in its place/,
  ],
  ['nothing is proven', [repair], /not proven/],
  ['the proof came before the repair', [proof('cool1'), repair], /after the last repair/],
  ['another call is proven', [repair, set('heat1'), proof('heat1')], /complained of is not proven/],
  [
    'it was proven while another call was set',
    [set('off'), repair, proof('cool1')],
    /proven while “Off” was set: set it/,
  ],
  [
    'it was proven with the power off',
    [repair, power('isolated'), proof('cool1'), power('on')],
    /“Cooling, first stage” was proven with the power off/,
  ],
  [
    'a part of it was switched off as it was proven',
    [repair, { kind: 'power', is: 'off', of: diagram.isolators[0] }, proof('cool1'), power('on')],
    /with the power off/,
  ],
  [
    'the power went and came back after the proof',
    [repair, proof('cool1'), power('isolated'), power('on')],
    /switched after .* was proven: prove it once more/,
  ],
  [
    'a setting was changed after the proof',
    [repair, proof('cool1'), { kind: 'setting', of: 'TS.stages', from: '1', to: '2' }],
    /after the last repair/,
  ],
  [
    'nothing was read in the call that is called right',
    [repair, proof('cool1', { values: [] })],
    /said to be right, and nothing was read in it/,
  ],
  [
    'what was read is from before the power came back',
    [repair, read, power('isolated'), power('on'), proof('cool1', { words: ' ', values: [] })],
    /nothing was read in it/,
  ],
  [
    'what was read is from before the last repair',
    [repair, read, { kind: 'setting', of: 'TS.stages', from: '1', to: '2' }, proof('cool1', { values: [] })],
    /nothing was read in it/,
  ],
  ['the power is off', [repair, proof('cool1'), power('isolated')], /switched off/],
  ['nothing was repaired', [proof('cool1')], /No repair is recorded/],
  [
    'a leg draws a seventh of its amps without a word',
    [
      repair,
      proof('cool1', { values: [{ what: 'Compressor 1, at C1.T1', value: 2.1, unit: 'A', expected: 15.7 }] }),
    ],
    /Compressor 1, at C1\.T1 is not as it should be/,
  ],
])('not while %s', (_, bodies, why) => {
  expect(problems(...bodies)).toMatch(why)
})

test('a reading or a look in that call, with the power back, is enough beside the word', () => {
  const seen: EntryBody = { kind: 'observation', of: 'C1', what: 'turning' }
  for (const said of [read, seen]) expect(problems(repair, said, proof('cool1', { values: [] }))).toBe('')
  expect(problems(repair, set('fan'), read, set('cool1'), proof('cool1', { values: [] }))).toMatch(
    /nothing was read/,
  )
})

test('what is undone stands no longer, and a value with its reason may stand', () => {
  const lifted: readonly EntryBody[] = [
    { kind: 'action', do: 'lift', of: 'TS.Y1-TB.Y1' },
    { kind: 'action', do: 'land', of: 'TS.Y1-TB.Y1' },
  ]
  expect(problems(...lifted, repair, proof('cool1'))).toBe('')
  const standIn: EntryBody = { kind: 'stand-in', of: 'FU', amps: 3, result: 'holds' }
  expect(problems(standIn, { kind: 'repair', of: 'FU' }, proof('cool1'))).toBe('')
  const low = { what: 'Compressor 1', value: 8, unit: 'A', expected: 15.7 }
  expect(problems(repair, proof('cool1', { words: '58 °F outside, lightly loaded', values: [low] }))).toBe('')
})

test('leads of a lifted terminal that are ticked as back are back, once all of them are', () => {
  const terminal = [...diagram.points.keys()].find((point) => wiresAt(diagram, point).length === 2) ?? ''
  const [one, other] = wiresAt(diagram, terminal).map(({ color, number }): EntryBody => ({
    kind: 'lead-landed',
    of: partOfPoint(terminal),
    terminal,
    color,
    number,
  }))
  const lift: EntryBody = { kind: 'action', do: 'lift', of: terminal }
  expect(problems(lift, one, repair, proof('cool1'))).toMatch(/is still off/)
  expect(problems(lift, one, other, repair, proof('cool1'))).toBe('')
  // what was ticked before it was lifted again is off again
  expect(problems(one, other, lift, repair, proof('cool1'))).toMatch(/is still off/)
})

test('a proof while a delay runs does not count; one after it, or after a proof that counts, does', () => {
  const wait = (seconds: number): EntryBody => ({ kind: 'wait', seconds })
  const start = [repair, set('off'), set('cool1')]
  expect(problems(...start, wait(20), proof('cool1'))).toMatch(/proven while a delay ran/)
  expect(problems(...start, wait(20), proof('cool1'), wait(600), proof('cool1'))).toBe('')
  // at arrival it has been calling for long
  expect(problems(repair, proof('cool1'))).toBe('')
})

test('of each call the last proof counts', () => {
  const low = { what: 'Control power', value: 12.1, unit: 'V', expected: 25.4 }
  const mended = { ...low, value: 25.1 }
  expect(problems(repair, proof('cool1', { values: [low] }), proof('cool1', { values: [mended] }))).toBe('')
  // to say “right” once more does not take back what was read
  expect(problems(repair, proof('cool1', { values: [low] }), proof('cool1'))).toMatch(/say why it is left so/)
  expect(problems(repair, proof('cool1'), proof('cool1', { passed: false }))).toMatch(/not proven/)
})

test('new wiring is proven in every call that it touches, and then it may be signed', () => {
  const rewired: EntryBody = {
    kind: 'rewired',
    words: 'A freeze switch on the second coil',
    done: ['Move orange 95, which stays on FRZ2.2: off FRZ2.1, onto FZ.1'],
    prove: ['off', 'cool1', 'heat1'],
  }
  const stays: EntryBody = { kind: 'temporary', sort: 'wired-for-now', of: 'until the part is here' }
  const proven = [
    rewired,
    set('cool1'),
    { kind: 'wait', seconds: 600 } as const,
    read,
    proof('cool1'),
    set('off'),
    proof('off'),
  ]
  expect(problems(rewired)).toMatch(/is not proven/)
  expect(problems(...proven)).toBe('The new wiring is not proven in: Heating')
  expect(problems(...proven, set('heat1'), proof('heat1'))).toBe('')
  expect(problems(...proven, set('heat1'), proof('heat1'), stays)).toMatch(
    /Wired for the time being.* is still on/,
  )
})

test('a setting put right is a repair', () => {
  expect(problems({ kind: 'setting', of: 'TS.stages', from: '1', to: '2' }, proof('cool1'))).toBe('')
})

test('an entry that cannot follow what came before it is set aside, and the rest stands', () => {
  const log = logOf([
    { kind: 'action', do: 'lift', of: 'NO.SUCH' },
    { kind: 'call', call: 'cool1' },
  ])
  const { setAside, standing } = foldVisit(log, diagram)
  expect(setAside.map(({ id }) => id)).toEqual(['0'])
  expect(standing.call).toBe('cool1')
})
