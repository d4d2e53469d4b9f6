import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { brief, type SuspectBrief } from './briefing'
import { handledAsOne } from './handledAsOne'

const unit = builtInUnit('rooftop-two-stage')
const groupsAfter = (complaint: string, ...entries: readonly EntryBody[]) =>
  brief(unit, { complaint, entries }).groups

test('faults of one switch are one thing to go to', () => {
  const [first] = groupsAfter(
    'not-cooling',
    { kind: 'call', call: 'cool1' },
    { kind: 'reading', meter: 'volts', from: 'LPS1.1', to: 'TB.C', value: 25.8 },
    { kind: 'reading', meter: 'volts', from: 'HPS1.1', to: 'TB.C', value: 0 },
  )
  expect(first.words).toBe('Low-pressure switch 1')
  expect(first.suspects.length).toBeGreaterThan(1)
})

const suspect = (probability: number, ...of: readonly string[]): SuspectBrief => ({
  id: of.join(' + '),
  words: of.join(' and '),
  of,
  probability,
  odds: '',
  explains: [],
  against: [],
  cause: '',
  prove: '',
  proof: '',
  before: '',
  restarts: '',
})

test('leads go with the switch that they end on, the likelier one; boards and pairs take nothing along', () => {
  const groups = handledAsOne(unit, [
    suspect(0.3, 'LPS1.2-HPS1.1'),
    suspect(0.25, 'LPS1'),
    suspect(0.2, 'HPS1', 'LPS1'),
    suspect(0.1, 'HPS1'),
    suspect(0.08, 'TB.C-CB.1'),
    suspect(0.07, 'TB'),
  ])
  expect(groups.map(({ words }) => words)).toEqual([
    'Low-pressure switch 1, with its leads',
    'HPS1 and LPS1',
    'HPS1',
    'TB.C-CB.1',
    'TB',
  ])
  expect(groups[0].probability).toBeCloseTo(0.55, 12)
})

test('what may be wrong with one lead is one thing to follow from end to end', () => {
  const [first, ...others] = handledAsOne(unit, [
    suspect(0.4, 'TB.Y1-PL.1A'),
    suspect(0.3, 'TB.Y1-PL.1A'),
    suspect(0.2, 'PL.1B-EC.Y1I'),
    suspect(0.1, 'TB.Y1-PL.1A', 'LPS1'),
  ])
  expect(first).toMatchObject({ words: 'Wire yellow 80, TB.Y1 to PL.1A', around: first.words })
  expect(first.probability).toBeCloseTo(0.7, 12)
  expect(others.map(({ around }) => around)).toEqual(['', ''])
})

test('nothing is lost and nothing counted twice', () => {
  const file = {
    complaint: 'no-heat',
    entries: [
      { kind: 'call', call: 'heat1' },
      { kind: 'observation', what: 'code', of: 'IC', words: '6 flashes' },
    ] as const,
  }
  const { groups, suspects } = brief(unit, file)
  const grouped = groups.flatMap((group) => group.suspects)
  expect(grouped.map(({ id }) => id).sort()).toEqual(suspects.map(({ id }) => id).sort())
  for (const group of groups)
    expect(group.probability).toBeCloseTo(
      group.suspects.reduce((sum, { probability }) => sum + probability, 0),
      12,
    )
  const shares = groups.map(({ probability }) => probability)
  expect(shares).toEqual([...shares].sort((a, b) => b - a))
})
