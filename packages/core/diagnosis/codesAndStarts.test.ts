import { storedIn } from '../parts/storedCode'
import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { gather } from '../visit/evidence'
import { deedWords } from './asks'
import { diagnose } from './diagnose'

const unit = builtInUnit('rooftop-two-stage')
const diagnosed = (entries: readonly EntryBody[], complaint = 'no-heat') =>
  diagnose(unit, { complaint, entries }, { school: 'best', count: 400, sorts: ['measure', 'look', 'deed'] })
const shareOf = (entries: readonly EntryBody[], ...ids: readonly string[]) => {
  const { model, belief } = diagnosed(entries)
  return model.hypotheses.reduce(
    (sum, { faults }, h) =>
      faults.length === 1 && ids.includes(faults[0].id) ? sum + belief.probability[h] : sum,
    0,
  )
}
const heat: EntryBody = { kind: 'call', call: 'heat1' }
const start: EntryBody = { kind: 'action', do: 'start', of: 'IC' }

test('a start that is watched lasts for one thing that is read or seen', () => {
  const actionsAfter = (...entries: readonly EntryBody[]) =>
    gather(unit, { complaint: 'no-heat', entries: [heat, start, ...entries] }).now.actions.length
  expect(actionsAfter()).toBe(1)
  expect(actionsAfter({ kind: 'note', words: 'igniter glows' })).toBe(1)
  expect(actionsAfter({ kind: 'observation', what: 'glowing', of: 'IGN' })).toBe(0)
  const [piece] = gather(unit, {
    complaint: 'no-heat',
    entries: [heat, start, { kind: 'observation', what: 'glowing', of: 'IGN' }],
  }).evidence
  expect(piece.standing.actions.map(({ verb }) => verb)).toEqual(['start'])
})

test('what is seen while it tries parts the igniter, the gas, and the rod', () => {
  const seen = (what: string): readonly EntryBody[] => [
    heat,
    { kind: 'observation', what: 'code', of: 'IC', words: '6 flashes' },
    start,
    { kind: 'observation', what, of: 'IGN' },
  ]
  expect(
    shareOf(seen('lit'), 'FR:dirty', 'FR:1-grounded', 'IC.FS-FR.1:open', 'IC:flameSense-open'),
  ).toBeGreaterThan(0.8)
  expect(shareOf(seen('glowing'), 'GV:stays-shut', 'GV:coil-open', 'IC:valve-open')).toBeGreaterThan(0.8)
  expect(shareOf(seen('out'), 'IGN:element-open', 'IGN:aged', 'IC:igniter-open')).toBeGreaterThan(0.7)
})

test('flame current tells a dirty rod from one on metal', () => {
  const read = (value: number): readonly EntryBody[] => [
    heat,
    { kind: 'observation', what: 'code', of: 'IC', words: '6 flashes' },
    start,
    { kind: 'observation', what: 'lit', of: 'IGN' },
    start,
    { kind: 'reading', meter: 'dc', from: 'IC.FS', to: 'IC.C', value },
  ]
  expect(shareOf(read(0.4), 'FR:dirty')).toBeGreaterThan(0.75)
  expect(shareOf(read(0.02), 'FR:1-grounded', 'IC.FS-FR.1:open')).toBeGreaterThan(0.6)
})

test('the code of a board is asked for as a look, and its answer is kept as a code', () => {
  const { next } = diagnosed([heat])
  const look = next.find((step) => step.do === 'look' && step.of === 'IC' && step.deed === null)
  expect(look?.do === 'look' ? look.healthy : '').toBe('code steady')
  expect(look?.outcomes.map(({ seen }) => seen)).toEqual(
    expect.arrayContaining(['code 2 flashes', 'code 6 flashes']),
  )
  expect(
    shareOf(
      [heat, { kind: 'observation', what: 'code', of: 'IC', words: '2 flashes' }],
      'DSW:contact-open',
      'IDM:main-open',
      'IC:inducer-open',
      'CAP3:plates-open',
      'IDM:protector-open',
    ),
  ).toBeGreaterThan(0.5)
})

test('behind a blown control fuse nothing is looked at that is dead anyhow: ohms come next', () => {
  const { next } = diagnosed([{ kind: 'observation', what: 'blown', of: 'FU' }], 'breaker-goes')
  const [first] = next
  expect(first.power).toBe('off')
  expect(first.do === 'measure' ? first.meter : first.do).toBe('ohms')
  const dead = next.find((step) => step.do === 'look' && step.of === 'CC1' && step.power === 'on')
  expect(dead?.bits ?? 0).toBeLessThan(0.05)
})

test('a watched start is said in words that a person can follow', () => {
  expect(deedWords(unit, { verb: 'start', of: 'IC', to: '' }).words).toContain('give it again')
})

test('while it tries, volts are read at the gas valve too, from whichever call one comes', () => {
  const atValve = (entries: readonly EntryBody[]) =>
    diagnosed(entries).steps.flatMap((step) =>
      step.do === 'measure' && step.deed?.verb === 'start' && [step.from, step.to].includes('GV.1')
        ? [step.call]
        : [],
    )
  const shut: readonly EntryBody[] = [
    heat,
    { kind: 'observation', what: 'code', of: 'IC', words: '6 flashes' },
    start,
    { kind: 'observation', what: 'glowing', of: 'IGN' },
    start,
    { kind: 'reading', meter: 'volts', from: 'IC.MV', to: 'IC.C', value: 24.6 },
  ]
  expect(atValve(shut)).toContain('heat1')
  expect(atValve([...shut, { kind: 'call', call: 'off' }])).toContain('heat1')
})

describe('a stored code', () => {
  const stored = (words: string, call = 'heat1'): readonly EntryBody[] => [
    { kind: 'call', call },
    { kind: 'observation', what: 'stored', of: 'IC', words },
  ]
  const openLimits = ['LS1:contact-open', 'LS1:tripped', 'ML:tripped', 'RO:tripped', 'ML.2-RO.1:open']

  test('tells of the limits, of the flame, or of neither, in whichever call it is asked for', () => {
    for (const call of ['heat1', 'fan']) {
      const limits = (words: string) => shareOf(stored(words, call), ...openLimits)
      expect(limits('4 flashes')).toBeGreaterThan(3 * limits('none'))
      expect(limits('6 flashes')).toBeLessThan(limits('none'))
      expect(shareOf(stored('6 flashes', call), 'FR:dirty')).toBeGreaterThan(shareOf([], 'FR:dirty'))
    }
  })

  test('is of what has gone away again as well', () => {
    const works: EntryBody = { kind: 'observation', what: 'code', of: 'IC', words: 'steady' }
    const gone = (words: string) => shareOf([heat, works, ...stored(words)], 'LS1.2-ML.1:open')
    expect(gone('4 flashes')).toBeGreaterThan(5 * gone('none'))
  })

  test('is none while nothing is wrong', () => {
    const { model } = diagnosed([])
    for (const call of ['off', 'heat1', 'cool1']) {
      const { now } = gather(unit, { complaint: '', entries: [{ kind: 'call', call }] })
      expect(
        model
          .situation(now)
          .looks(0, 'IC')
          .filter((word) => storedIn(word) !== null),
      ).toEqual([])
    }
  })
})
