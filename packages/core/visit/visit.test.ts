import { leavingProblems } from './leaving'
import { reportOf } from './report'
import { reportCsv } from './reportCsv'
import type { ReportAbout } from './reportHead'
import fc from 'fast-check'
import { compareClocks, tick, witness, type Clock } from './clock'
import type { EntryBody } from './entry'
import { merge, type Entry } from './log'
import { builtInUnit } from '../units/index'
import { passesByGuard } from '../diagram/guards'
import { joinProblem } from '../diagram/joins'
import { signOffProblems } from './signOff'
import { closingProblems, foldVisit, powerOnProblems } from './visitState'

const rooftop = builtInUnit('rooftop-two-stage')
const fold = (log: readonly Entry[]) => foldVisit(log, rooftop)

const entry = (id: string, wall: number, body: EntryBody, device = 'a'): Entry => ({
  id,
  visit: 'v',
  by: 'p',
  clock: { wall, counter: 0, device },
  body,
})

const about: ReportAbout = {
  shop: 'Gannet Controls',
  unit: { label: 'RTU-3', place: 'Roof', make: '', serial: 'SN-3', installed: '' },
  site: { name: 'Gannet Hall', address: '1 North Stairs' },
  people: new Map([['p', 'Nell Ferrow']]),
  utcOffsetMinutes: 0,
}

const bodies: fc.Arbitrary<EntryBody> = fc.oneof(
  fc.constantFrom<EntryBody>(
    { kind: 'call', call: 'cool1' },
    { kind: 'call', call: 'off' },
    { kind: 'power', is: 'isolated' },
    { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.Y1' },
  ),
  fc
    .double({ min: 0, max: 500, noNaN: true })
    .map((value): EntryBody => ({ kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value })),
)
const logs = fc
  .array(
    fc.record({
      id: fc.uuid(),
      wall: fc.nat(1000),
      counter: fc.nat(3),
      device: fc.constantFrom('a', 'b', 'c'),
      body: bodies,
    }),
    { maxLength: 30 },
  )
  .map((raw) =>
    raw.map(({ id, wall, counter, device, body }): Entry => ({
      id,
      visit: 'v',
      by: 'p',
      clock: { wall, counter, device },
      body,
    })),
  )

test('a log folds to the same visit in any order, with any doubles, from any split between devices', () => {
  fc.assert(
    fc.property(logs, fc.nat(), (log, seed) => {
      const mixed = [...log].sort(
        (a, b) => ((a.id.charCodeAt(0) * 7 + seed) % 13) - ((b.id.charCodeAt(1) * 5 + seed) % 11),
      )
      const half = log.slice(0, Math.floor(log.length / 2))
      expect(fold(mixed)).toEqual(fold(log))
      expect(fold([...log, ...half])).toEqual(fold(log))
      expect(merge(half, merge(log, half))).toEqual(merge(log))
    }),
  )
})

test('an answer comes after what it answers, with clocks minutes apart', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: -240_000, max: 240_000 }),
      fc.array(fc.nat(5000), { maxLength: 20 }),
      (skew, steps) => {
        let now = 1_000_000_000
        let a: Clock = { wall: 0, counter: 0, device: 'a' }
        let b: Clock = { wall: 0, counter: 0, device: 'b' }
        for (const step of steps) {
          now += step
          const said = (a = tick(a, now))
          b = tick(witness(b, said, now + skew), now + skew)
          expect(compareClocks(said, b)).toBeLessThan(0)
          a = witness(a, b, now)
        }
      },
    ),
  )
})

test('a retracted reading is gone from the visit and stays in the log', () => {
  const log = [
    entry('1', 1, { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 3 }),
    entry('2', 2, { kind: 'retracted', entry: '1' }),
  ]
  expect(fold(log).readings).toHaveLength(0)
  expect(merge(log)).toHaveLength(2)
})

describe('a reading that was typed wrong', () => {
  const cooling = entry('1', 1, { kind: 'call', call: 'cool1' })
  const wrong = entry('2', 2, { kind: 'reading', meter: 'volts', from: 'TB.R', value: 240, typed: '240' })
  const heating = entry('3', 3, { kind: 'call', call: 'heat1' })
  const right = entry('4', 4, { kind: 'corrected', entry: '2', value: 24, typed: '24' })
  const read = (log: readonly Entry[]) =>
    fold(log).readings.map(({ body, call }) => ({ value: body.value, typed: body.typed, call }))

  test('counts as it was corrected, in the call that it was taken in', () => {
    expect(read([cooling, wrong, heating, right])).toEqual([{ value: 24, typed: '24', call: 'cool1' }])
  })

  test('a correction can be corrected, and taken back', () => {
    const again = entry('5', 5, { kind: 'corrected', entry: '2', value: 25 })
    expect(read([cooling, wrong, right, again])).toEqual([{ value: 25, typed: undefined, call: 'cool1' }])
    const back = entry('6', 6, { kind: 'retracted', entry: '5' })
    expect(read([cooling, wrong, right, again, back])[0].value).toBe(24)
  })

  test('after the sign-off it changes nothing', () => {
    const signOff = entry('3', 3, { kind: 'sign-off', outcome: 'restricted', words: 'x' })
    expect(read([cooling, wrong, signOff, right])[0].value).toBe(240)
  })

  test('what is not there, or is no value, is corrected by nobody', () => {
    expect(read([cooling, wrong, entry('7', 7, { kind: 'corrected', entry: 'no', value: 1 })])[0].value).toBe(
      240,
    )
    const call = entry('8', 8, { kind: 'corrected', entry: '1', value: 1 })
    expect(fold([cooling, call]).call).toBe('cool1')
  })
})

describe('the report', () => {
  const at = (time: string): number => new Date(`2026-03-04T${time}:00Z`).getTime()
  const reasoning = {
    chance: 0.93,
    shownBy: ['0 V at LPS1.2'],
    rivals: [{ words: 'high-pressure switch open', chance: 0.04, against: ['26 V at HPS1.1'] }],
    program: 'entry-1',
  }
  const log = [
    entry('1', at('08:10'), { kind: 'complaint', complaint: 'not-cooling' }),
    entry('2', at('08:20'), { kind: 'condition', of: 'outdoorDryBulb', value: 91 }),
    entry('3', at('08:30'), { kind: 'call', call: 'cool2' }),
    entry('4', at('08:31'), { kind: 'observation', what: 'burnt', of: 'CC1' }),
    entry('5', at('09:00'), { kind: 'repair', of: 'LPS1', reasoning }),
    entry('6', at('10:45'), { kind: 'sign-off', outcome: 'repaired', words: 'Done', signedBy: 'Ada Holm' }),
  ]
  const report = reportOf(fold(log), rooftop, { ...about, utcOffsetMinutes: -300 })
  const lines = (title: string) => report.sections.find((section) => section.title === title)?.lines ?? []

  test('says whose it is, who worked, and when by the time of the place', () => {
    expect(report.head).toMatchObject({
      shop: 'Gannet Controls',
      technicians: ['Nell Ferrow'],
      times: ['2026-03-04, 03:10 to 05:45'],
    })
    expect(report.signed).toEqual({ by: 'Ada Holm', strokes: '' })
  })

  test('counts from the arrival: who took the call in the morning was not at the unit', () => {
    const taken = { ...entry('0', at('06:30'), { kind: 'complaint', complaint: 'not-cooling' }), by: 'q' }
    const arrived = entry('2', at('08:20'), { kind: 'arrived' })
    const people = new Map([...about.people, ['q', 'Edda Rusk']])
    const { head } = reportOf(fold([taken, arrived, ...log.slice(2)]), rooftop, { ...about, people })
    expect(head).toMatchObject({ technicians: ['Nell Ferrow'], times: ['2026-03-04, 08:20 to 10:45'] })
  })

  test('has the conditions, looks with their call, and why this and not its rival', () => {
    expect(lines('Conditions measured')[0]).toMatchObject({ left: 'Outdoor temperature', right: '91 °F' })
    expect(lines('As found').find(({ left }) => left === 'Compressor contactor 1')?.small).toBe(
      'Cooling, both stages',
    )
    expect(lines('Cause').map(({ right, small }) => [right, small])).toEqual([
      ['93 %', 'shown by 0 V at LPS1.2'],
      ['4 %', '26 V at HPS1.1'],
    ])
  })

  test('a reading says what was off or out when it was taken, and is silent once that is back', () => {
    const ohms = { kind: 'reading', meter: 'ohms', from: 'TB.R', to: 'TB.C', value: 0.6 } as const
    const doings = [
      { kind: 'power', is: 'isolated' },
      { kind: 'action', do: 'lift', of: 'TS.Y1-TB.Y1' },
      { kind: 'action', do: 'unplug', of: 'PL' },
      ohms,
      { kind: 'action', do: 'land', of: 'TS.Y1-TB.Y1' },
      { kind: 'action', do: 'plug', of: 'PL' },
      ohms,
    ] as const
    const said = doings.map((body, k) => entry(`${k}d`, at(`08:${40 + k}`), body))
    const { sections } = reportOf(fold([...log.slice(0, 4), ...said, ...log.slice(4)]), rooftop, about)
    const found = sections.find(({ title }) => title === 'As found')?.lines ?? []
    const small = found.filter(({ right }) => right === '0.6 Ω').map((line) => line.small)
    expect(small[0]).toMatch(/isolated, TS\.Y1-TB\.Y1 off, Economizer plug out$/)
    expect(small[1]).toMatch(/isolated$/)
  })

  test('a part that was fitted has its ratings in the words of its plate, and none that nobody gave', () => {
    const rating = { coilVolts: '24', poles: '3', bars: '' }
    const part = entry('7', at('09:30'), { kind: 'part-used', of: 'CC1', words: '', rating, bench: 'new' })
    const { sections } = reportOf(fold([...log.slice(0, 5), part, ...log.slice(5)]), rooftop, about)
    expect(
      sections.flatMap(({ lines: all }) => all).find(({ left }) => left.startsWith('Part:'))?.small,
    ).toBe('coil volts 24; poles 3')
  })

  test('as CSV each row says of what and when, and numbers stand apart from units', () => {
    const [head, ...rows] = reportCsv(report).split('\r\n')
    expect(head).toContain('number,unit of number')
    expect(rows.find((row) => row.includes('Outdoor temperature'))).toMatch(/"Gannet Hall.*,91,°F/)
  })
})

describe('signing off as repaired', () => {
  const diagram = builtInUnit('rooftop-two-stage')
  const problems = (...entries: readonly Entry[]): string => signOffProblems(fold(entries), diagram).join()
  const bridge = entry('1', 1, { kind: 'action', do: 'bridge', of: 'TB.R', to: 'TB.Y1' })
  const off = entry('2', 2, { kind: 'action', do: 'unbridge', of: 'TB.Y1', to: 'TB.R' })
  const repair = entry('3', 3, { kind: 'repair', of: 'LPS1' })
  const call = entry('3a', 3, { kind: 'call', call: 'cool1' })
  const proof = entry('4', 4, { kind: 'proof', call: 'cool1', words: '15.5 A', passed: true })

  test('not over a bridge, without a repair, or without proof', () => {
    expect(problems(bridge, repair, proof)).toMatch(/still on/)
    expect(problems(bridge, off)).toMatch(/No repair/)
    expect(problems(repair)).toMatch(/not proven/)
    expect(problems(bridge, off, repair, call, proof)).toBe('')
  })

  test('a bridge that is left needs its particulars, and never goes silently', () => {
    const left = entry('5', 5, {
      kind: 'temporary-left',
      entry: '1',
      hazard: 'compressor without its delay',
      reason: 'part on order',
      authorisedBy: 'building manager',
      expires: '2031-02-01',
      told: 'front desk',
    })
    expect(closingProblems(fold([bridge]))).toHaveLength(1)
    expect(closingProblems(fold([bridge, left]))).toEqual([])
    expect(fold([bridge, left]).measures).toHaveLength(1)
    expect(fold([bridge, left, off]).measures).toEqual([])
  })

  test('never with a limit, smoke, gas-safety or high-pressure control out of circuit, left with particulars or not', () => {
    for (const [of, to] of [
      ['HPS1.1', 'HPS1.2'],
      ['ML.1', 'ML.2'],
      ['LPS1.1', 'HPS1.2'],
    ]) {
      const jumper = entry('6', 1, { kind: 'action', do: 'bridge', of, to })
      const left = entry('7', 5, {
        kind: 'temporary-left',
        entry: '6',
        hazard: 'h',
        reason: 'r',
        authorisedBy: 'a',
        expires: '2031-02-01',
        told: 't',
      })
      expect(problems(jumper, left, repair, proof)).toMatch(/safety control is out of its circuit/)
    }
    const found = entry('8', 1, {
      kind: 'alteration',
      what: 'bridged',
      of: 'HPS1',
      hazard: 'no high-pressure protection',
    })
    expect(problems(found, repair, proof)).toMatch(/safety control/)
    const accepted = entry('9', 2, { kind: 'alteration-settled', entry: '8', of: 'HPS1', as: 'accepted' })
    expect(problems(found, accepted, repair, proof)).toMatch(/safety control/)
    const corrected = entry('10', 3, { kind: 'alteration-settled', entry: '8', of: 'HPS1', as: 'corrected' })
    expect(problems(found, corrected, repair, call, proof)).toBe('')
  })

  test('what goes round a safety control counts, wherever its ends are', () => {
    expect(passesByGuard(diagram, 'TB.R', 'CC1.A1')).toBe(true)
    expect(passesByGuard(diagram, 'XF.S1', 'TB.R')).toBe(true)
    expect(passesByGuard(diagram, 'TB.R', 'TB.Y1')).toBe(false)
    expect(passesByGuard(diagram, 'LPS1.1', 'LPS1.2')).toBe(false)
    expect(passesByGuard(diagram, 'LAL.1', 'LAL.2')).toBe(false)
    expect(joinProblem(diagram, 'CC1.L1', 'CC1.T1')?.because).toBe('never-bridged')
    expect(joinProblem(diagram, 'TB.R', 'TB.G')).toBeNull()
  })

  test('not with a lead off, and power waits for it and for a tone set', () => {
    const lead = entry('11', 1, {
      kind: 'lead-found',
      of: 'CC1',
      terminal: 'CC1.A1',
      color: 'yellow',
      number: '86',
    })
    const landed = entry('12', 2, {
      kind: 'lead-landed',
      of: 'CC1',
      terminal: 'CC1.A1',
      color: 'yellow',
      number: '86',
    })
    const tone = entry('13', 3, { kind: 'temporary', sort: 'tone-set', of: 'TB.Y1', to: 'TB.C' })
    expect(problems(lead, repair, proof)).toMatch(/not back on/)
    expect(powerOnProblems(fold([lead]), diagram)).toHaveLength(1)
    expect(powerOnProblems(fold([lead, landed]), diagram)).toEqual([])
    expect(powerOnProblems(fold([tone]), diagram)).toHaveLength(1)
    expect(
      powerOnProblems(fold([tone, entry('14', 4, { kind: 'temporary-removed', entry: '13' })]), diagram),
    ).toEqual([])
  })
})

describe('a visit that is signed off is closed', () => {
  const signed = [
    entry('1', 1, { kind: 'repair', of: 'LPS1', words: 'Leak mended' }),
    entry('2', 2, { kind: 'proof', call: 'cool1', words: '15.5 A', passed: true }),
    entry('3', 3, { kind: 'sign-off', outcome: 'repaired', words: 'Cools again' }),
  ]
  const later = [
    entry('4', 4, { kind: 'note', words: 'The owner rang' }),
    entry('5', 5, { kind: 'retracted', entry: '1' }),
    entry('6', 6, { kind: 'sign-off', outcome: 'left-off', words: 'no' }),
  ]

  test('what comes later is kept beside it and changes nothing that was signed', () => {
    const now = fold([...later, ...signed])
    expect({ ...now, addenda: [] }).toEqual({ ...fold(signed), addenda: [] })
    expect(now.addenda.map(({ id }) => id)).toEqual(['4', '5', '6'])
    expect(now.signOff?.entry.id).toBe('3')
  })

  test('what was said before it and arrives later is part of it', () => {
    const late = entry('0', 0, { kind: 'note', words: 'from the other phone' })
    expect(fold([...signed, late]).notes).toHaveLength(1)
    expect(fold([...signed, late]).addenda).toEqual([])
  })

  test('the report has it under its own day, after all that was signed', () => {
    const diagram = builtInUnit('rooftop-two-stage')
    const sections = (entries: readonly Entry[]) => reportOf(fold(entries), diagram, about).sections
    const before = sections(signed)
    const after = sections([...signed, ...later])
    expect(after.slice(0, before.length)).toEqual(before)
    expect(after.at(-1)?.lines.map(({ left }) => left)).toEqual([
      'The owner rang',
      'An entry was taken back; what was signed stands',
      'Signed off, left off: no; what was signed stands',
    ])
  })

  test('left restricted or off needs words, who was told and until when', () => {
    const closing = {
      outcome: 'restricted',
      words: 'Strip heat only',
      told: 'desk',
      until: '2031-02-01',
    } as const
    expect(leavingProblems(closing)).toEqual([])
    expect(leavingProblems({ outcome: 'left-off', words: ' ' })).toHaveLength(3)
    expect(leavingProblems({ ...closing, until: '' })).toHaveLength(1)
    expect(leavingProblems({ outcome: 'repaired', words: '' })).toEqual([])
  })
})
