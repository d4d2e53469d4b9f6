import { partOfPoint } from '../diagram/diagram'
import { builtInUnit, builtInUnitIds } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { brief } from './briefing'
import { diagnose, judge, modelOf } from './diagnose'
import { pathDrops } from './drops'
import { standingsElsewhere } from './nextStep'
import { provingSteps } from './proving'
import { pathPlaces } from './pathPoints'
import type { School } from './schools'
import { gather } from '../visit/evidence'
import { atArrival } from '../visit/standing'
import { sortOf } from './steps'
import { volts } from '../visit/testReadings'

const live: EntryBody = { kind: 'reading', meter: 'volts', from: 'TB.Y1', to: 'TB.C', value: 25.2 }
const outdoors: EntryBody = { kind: 'condition', of: 'outdoorDryBulb', value: 88 }
const stopped: readonly EntryBody[] = [
  { kind: 'call', call: 'cool1' },
  live,
  { kind: 'reading', meter: 'volts', from: 'CC1.A1', to: 'TB.C', value: 0 },
]

test.each(['rooftop-enthalpy', 'split-heat-pump', 'fan-coil-two-pipe', 'package-proving'])(
  '%s: nothing forbidden is ever proposed',
  (id) => {
    const diagram = builtInUnit(id)
    const call = diagram.calls.find(({ id: name }) => name !== 'off' && name !== 'fan')?.id ?? 'off'
    // dead at the board: shorts, opens, trips and settings are all in question
    const entries: readonly EntryBody[] = [
      { kind: 'call', call },
      {
        kind: 'reading',
        meter: 'volts',
        from: [...diagram.points.keys()].find((point) => point.startsWith('TB.')) ?? diagram.common,
        to: 'EARTH',
        value: 0,
      },
    ]
    // this school works out every step there is
    const { steps } = diagnose(diagram, { complaint: '', entries }, { school: 'pull' })
    for (const step of steps) {
      if (step.do === 'wait' || step.do === 'condition') continue
      if (step.do === 'measure' && step.meter === 'ohms') expect(step.power).toBe('off')
      if (!step.deed) continue
      const { verb, of, to } = step.deed
      if (verb === 'lift' || verb === 'unplug') expect(step.power).toBe('off')
      if (verb !== 'bridge') continue
      expect(
        [of, to]
          .map((point) => point.split('.')[1])
          .sort()
          .join(),
      ).not.toBe('C,R')
      for (const point of [of, to]) {
        const kind = diagram.parts.get(partOfPoint(point))?.kind
        if (kind && kind.kind !== 'terminal-board' && kind.kind !== 'thermostat')
          expect(kind.testBridge ?? 'never').not.toBe('never')
      }
    }
  },
)

test('a control fuse is looked at, a cartridge in its block is measured', () => {
  const diagram = builtInUnit('air-handler-heat')
  const { steps } = diagnose(
    diagram,
    { complaint: 'no-heat', entries: [{ kind: 'call', call: 'heat2' }] },
    { school: 'pull' },
  )
  const looked = steps.flatMap((step) => (step.do === 'look' && step.bits > 0 ? [step.of] : []))
  expect(looked).toContain('FU')
  for (const cartridge of ['HF1', 'HF2', 'HF3', 'BF']) {
    expect(looked).not.toContain(cartridge)
    expect(
      steps.some((step) => step.do === 'measure' && step.bits > 0 && partOfPoint(step.from) === cartridge),
    ).toBe(true)
  }
})

test('each school asks in its own manner', () => {
  const diagram = builtInUnit('rooftop-two-stage')
  const first = (school: School) => {
    const { next, model, findings } = diagnose(
      diagram,
      // with the weather known there is nothing to ask for first
      { complaint: 'not-cooling', entries: [outdoors, ...stopped] },
      { school },
    )
    const places = pathPlaces(model.situation(findings.now), 'cool1')
    const [step] = next
    return {
      step,
      place: step.do === 'measure' ? (places.get(step.from) ?? NaN) : NaN,
      of: (point: string) => places.get(point) ?? NaN,
    }
  }
  const walk = first('walk')
  expect(walk.place).toBe(walk.of('TB.Y1') + 1)
  const split = first('split')
  const middle = (split.of('TB.Y1') + split.of('CC1.A1')) / 2
  expect(Math.abs(split.place - middle)).toBeLessThanOrEqual(2)
  const usual = first('usual')
  expect(usual.step.bits).toBeGreaterThan(0)
})

test('while a delay runs the ask is to wait, or a reading that is valid now', () => {
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    { kind: 'wait', seconds: 5 },
  ]
  const { next } = diagnose(builtInUnit('rooftop-two-stage'), { complaint: '', entries }, { count: Infinity })
  const wait = next.find((step) => step.do === 'wait')
  expect(wait).toMatchObject({ do: 'wait', of: 'TS' })
  expect(next.map(sortOf)).toContain('measure')
})

test('a live reading before its time is taken for a call that stood longer than was said', () => {
  const { model, ranked } = judge(builtInUnit('rooftop-two-stage'), {
    complaint: 'not-cooling',
    entries: [
      { kind: 'call', call: 'cool1' },
      { kind: 'wait', seconds: 5 },
      { kind: 'reading', meter: 'volts', from: 'LPS1.1', to: 'TB.C', value: 25.4 },
      { kind: 'reading', meter: 'volts', from: 'LPS1.2', to: 'TB.C', value: 0 },
    ],
  })
  expect(model.hypotheses[ranked[0]].of).toContain('LPS1')
})

test('a short is hunted with actions too: a section pulled or a lead lifted, isolated', () => {
  const entries: readonly EntryBody[] = [
    { kind: 'power', is: 'isolated' },
    { kind: 'action', do: 'unplug', of: 'FU' },
    { kind: 'call', call: 'off' },
    { kind: 'reading', meter: 'ohms', from: 'TB.R', to: 'EARTH', value: 0.6 },
    { kind: 'reading', meter: 'ohms', from: 'TB.R', to: 'TB.C', value: 0.6 },
  ]
  const { next } = diagnose(
    builtInUnit('split-heat-pump'),
    { complaint: 'blank-thermostat', entries },
    { count: Infinity },
  )
  expect(
    next.some(
      (step) => step.do === 'measure' && (step.deed?.verb === 'lift' || step.deed?.verb === 'unplug'),
    ),
  ).toBe(true)
})

test('what is not covered yet is said, and out of reach is not asked again', () => {
  const diagram = builtInUnit('fan-coil-cooling')
  const { coverage, asks } = brief(diagram, {
    complaint: '',
    entries: [
      { kind: 'call', call: 'fan' },
      { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 26.1 },
    ],
  })
  expect(coverage.calls).toContain('Cooling')
  expect(coverage.sentence).toMatch(/Not tried yet: .*cooling/)
  const [ask] = asks
  const point = ask.do === 'measure' ? ask.from : ask.do === 'look' ? ask.of : ''
  const without = brief(diagram, {
    complaint: '',
    entries: [
      { kind: 'call', call: 'fan' },
      { kind: 'unreachable', of: point },
    ],
  })
  for (const other of without.asks)
    if (other.do === 'measure') expect([other.from, other.to]).not.toContain(point)
})

test.each(builtInUnitIds)(
  '%s: the leads of a drop reach from one spot, from where the path comes in',
  (unit) => {
    const model = modelOf(builtInUnit(unit))
    const { calls, points } = model.diagram
    const drops = calls.flatMap(({ id }) => pathDrops(model.situation(atArrival(model.diagram, id)).circuit))
    expect(drops.length).toBeGreaterThan(0)
    for (const { from, to } of drops) expect([to, points.get(to)?.zone]).toEqual([to, points.get(from)?.zone])
  },
)

test('cleared is what a reading tests: not what merely fails to explain it', () => {
  const { cleared, coverage } = brief(builtInUnit('package-proving'), {
    complaint: 'not-cooling',
    entries: [volts('PB1.P1', 25.9), volts('PB1.P2', 0), volts('PK1.2A', 25.9, 'PK1.2B')],
  })
  expect(cleared.map(({ by }) => by).join()).toMatch(/25.9 V PB1.P1 to TB.C/)
  // open behind a loop that never closed: nobody knows
  expect(coverage.untouched).toBeGreaterThan(0)
  expect(cleared.map(({ words }) => words).join()).not.toMatch(/Low-pressure switch 1/)
})

test('readings that nothing explains are said to contradict, and the worst is to be repeated', () => {
  const { warning } = brief(builtInUnit('rooftop-two-stage'), {
    complaint: '',
    entries: [
      { kind: 'call', call: 'cool1' },
      { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 25.3 },
      { kind: 'reading', meter: 'volts', from: 'TB.R', to: 'TB.C', value: 88 },
    ],
  })
  expect(warning).toMatch(/Least contradicted: .*repeat 88\.0 V/)
})

test('a reading that a suspect predicts to the volt is never called unexplained, on any range', () => {
  const diagram = builtInUnit('air-handler-drive')
  const { model, findings } = judge(diagram, { complaint: 'no-heat', entries: [] })
  const situation = model.situation(findings.now)
  for (const [meter, from, to] of [
    ['millivolts', 'XF.S1', 'LS1.2'],
    ['volts', 'HB1.1', 'HB1.2'],
    ['amps', 'LB.L3', 'BF.L3'],
  ] as const) {
    const value = situation.predict(meter, from, to, [0])[0]
    expect(
      brief(diagram, { complaint: 'no-heat', entries: [{ kind: 'reading', meter, from, to, value }] })
        .warning,
    ).toBe('')
  }
})

test('each suspect that stands out comes with what would show it, and that would', () => {
  const diagram = builtInUnit('rooftop-two-stage')
  const file = { complaint: 'not-cooling', entries: stopped }
  const diagnosis = diagnose(diagram, file)
  const shown = diagnosis.ranked.slice(0, 8)
  const proofs = provingSteps(diagnosis, shown)
  expect(proofs.size).toBeGreaterThan(1)
  for (const [h, { step, then }] of proofs) {
    expect(then).toBeGreaterThan(diagnosis.belief.probability[h])
    if (step.do !== 'measure' || step.deed || step.call !== 'cool1' || step.power !== 'on') continue
    const after = diagnose(diagram, {
      ...file,
      entries: [
        ...stopped,
        { kind: 'reading', meter: step.meter, from: step.from, to: step.to, value: step.predicted[h] },
      ],
    })
    expect(after.belief.probability[h]).toBeGreaterThan(diagnosis.belief.probability[h])
    expect(after.belief.probability[h]).toBeGreaterThan(0.5 * then)
  }
  const [first] = brief(diagram, file).suspects.filter(({ proof }) => proof !== '')
  expect(first.proof).toMatch(/cooling, first stage|isolated/)
})

test('odds before any reading say why they are as they are', () => {
  const diagram = builtInUnit('split-heat-pump')
  const entries: readonly EntryBody[] = [
    { kind: 'replaced', of: 'CC1', by: 'another contractor' },
    { kind: 'condition', of: 'outdoorDryBulb', value: 18 },
  ]
  const { reasons } = brief(
    diagram,
    { complaint: 'water', entries },
    {},
    { ageYears: 13, experience: { repairs: { 'relay:made1-welded': 5 } } },
  )
  expect(reasons.map(({ reason }) => reason).join('|')).toMatch(
    /13 years old.*Cold outside.*Water.*Replaced lately.*found relay: made1 welded 5 times/,
  )
  expect(reasons.every(({ faults }) => faults > 0)).toBe(true)
})

test('a wire in series with one that was clamped is not clamped, in no call: it would read the same', () => {
  const diagram = builtInUnit('rooftop-two-stage')
  const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'cool2' },
    { kind: 'condition', of: 'outdoorDryBulb', value: 91 },
    ...['CC1', 'CC2', 'IFC', 'CFC'].map((contactor) => seen(contactor, 'pulled-in')),
    seen('FM1', 'turning'),
    seen('FM2', 'still'),
    { kind: 'reading', meter: 'amps', from: 'CFC.T1', to: 'FM2.C', value: 0 },
  ]
  const { next } = diagnose(diagram, { complaint: 'not-cooling', entries }, { count: 8 })
  const readings = next.filter((step) => step.do === 'measure')
  expect(readings.filter(({ meter }) => meter === 'amps')).toEqual([])
  // what stands still is asked for its volts, and then for its ohms
  const [atMotor] = readings.filter(({ from }) => from.startsWith('FM2.'))
  expect(atMotor).toMatchObject({ meter: 'volts', from: 'FM2.C', to: 'FM2.R' })
})

test('whether a motor runs is seen before its section is opened: its look comes before readings that tell less', () => {
  const diagram = builtInUnit('rooftop-two-stage')
  const { steps } = diagnose(diagram, {
    complaint: 'not-cooling',
    entries: [{ kind: 'call', call: 'cool2' }],
  })
  const looks = steps.filter((step) => step.do === 'look')
  const costOf = (part: string): number => looks.find(({ of }) => of === part)?.cost ?? NaN
  const reading = steps.find((step) => step.do === 'measure' && step.from.startsWith('FM1.'))
  expect(costOf('FM1')).toBeLessThan(30)
  expect(reading?.cost).toBeGreaterThan(60)
})

describe('a fan that stands still with volts on it', () => {
  const diagram = builtInUnit('rooftop-two-stage')
  const standsStill: readonly EntryBody[] = [
    { kind: 'call', call: 'cool2' },
    { kind: 'condition', of: 'outdoorDryBulb', value: 91 },
    ...['CC1', 'CC2', 'IFC', 'CFC'].map((of): EntryBody => ({ kind: 'observation', of, what: 'pulled-in' })),
    { kind: 'observation', of: 'FM1', what: 'turning' },
    { kind: 'observation', of: 'FM2', what: 'still' },
    { kind: 'reading', meter: 'amps', from: 'CFC.T1', to: 'FM2.C', value: 0 },
    { kind: 'reading', meter: 'volts', from: 'FM2.C', to: 'FM2.R', value: 206 },
  ]

  const firstAfter = (...entries: readonly EntryBody[]) =>
    diagnose(
      diagram,
      { complaint: 'not-cooling', entries: [...standsStill, ...entries] },
      { count: 1 },
    ).next.at(0)

  const capacity = { meter: 'microfarads', from: 'CAP2.1', to: 'CAP2.2' } as const

  test('its capacitor is read by itself, and at its label the windings are next', () => {
    expect(firstAfter()).toMatchObject({ do: 'measure', ...capacity })
    const atItsLabel: EntryBody = { kind: 'reading', ...capacity, value: 7.4 }
    expect(firstAfter({ kind: 'power', is: 'isolated' }, atItsLabel)).toMatchObject({
      meter: 'ohms',
      from: 'FM2.C',
    })
  })

  test('its windings are read with its common lead off: its twin hangs on the same wires', () => {
    const outOfReach: EntryBody = { kind: 'unreachable', of: 'CAP2.1' }
    expect(firstAfter(outOfReach)).toMatchObject({
      do: 'measure',
      meter: 'ohms',
      deed: { verb: 'lift', of: 'CFC.T1-FM2.C' },
    })
  })

  test('power comes back with the lead on again; at rest it may stay off', () => {
    const entries: readonly EntryBody[] = [
      ...standsStill,
      { kind: 'power', is: 'isolated' },
      { kind: 'action', do: 'lift', of: 'CFC.T1-FM2.C' },
    ]
    const { now } = gather(diagram, { complaint: 'not-cooling', entries })
    expect(now.actions).toHaveLength(1)
    const elsewhere = standingsElsewhere(diagram, now)
    expect(elsewhere.map(({ power }) => power)).not.toContain('off')
    for (const { actions } of elsewhere) expect(actions).toEqual([])
  })
})

test('a call that stays live is told from a board that joins it: lead off, ohms from hot to the call', () => {
  const diagram = builtInUnit('air-handler-drive-running')
  const stays: readonly EntryBody[] = [
    volts('OL.2', 26),
    { kind: 'observation', what: 'shut', of: 'CV' },
    { kind: 'observation', what: 'turning', of: 'IFM' },
    { kind: 'reading', meter: 'amps', from: 'XF.S1', to: 'FU.L1', value: 0.4 },
    volts('TB.W1', 26),
    { kind: 'call', call: 'off' },
    volts('TB.W1', 26.4),
  ]
  const { steps } = diagnose(diagram, { complaint: 'no-air', entries: stays })
  const lifted = steps.find(
    (step) => step.do === 'measure' && step.deed?.verb === 'lift' && step.to === 'TB.W1',
  )
  expect(lifted).toMatchObject({ meter: 'ohms', from: 'TB.R', power: 'off' })
  const leads = (value: number | null): string => {
    const { ranked, model } = judge(diagram, {
      complaint: 'no-air',
      entries: [
        ...stays,
        { kind: 'power', is: 'isolated' },
        { kind: 'action', do: 'lift', of: 'TS.W1-TB.W1' },
        { kind: 'reading', meter: 'ohms', from: 'TB.R', to: 'TB.W1', value },
      ],
    })
    return model.hypotheses[ranked[0]].id
  }
  expect(leads(0.2)).toBe('TB:R-joined-W1')
  expect(leads(null)).toBe('TS:relayW1-stuck')
})
