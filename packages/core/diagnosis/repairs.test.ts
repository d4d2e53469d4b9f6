import type { EntryBody } from '../visit/entry'
import { builtInUnit } from '../units/index'
import { brief } from './briefing'
import { judge } from './diagnose'
import { gather } from '../visit/evidence'
import { tellsOfCircuit } from '../visit/tellsOfCircuit'
import { volts } from '../visit/testReadings'

/** Probability of the suspects whose id begins so. */
function given(unit: string, entries: readonly EntryBody[], start: string): number {
  const { model, belief } = judge(builtInUnit(unit), { complaint: 'not-cooling', entries })
  return model.hypotheses.reduce(
    (sum, { id }, h) => (id.startsWith(start) ? sum + belief.probability[h] : sum),
    0,
  )
}

const stopsAtSwitch: readonly EntryBody[] = [
  { kind: 'call', call: 'cool1' },
  volts('LPS1.1', 25.4),
  volts('LPS1.2', 0),
]

test('a good part replaced clears only itself: what was found before still stands', () => {
  const wrong: readonly EntryBody[] = [...stopsAtSwitch, { kind: 'repair', of: 'CC1' }]
  const before = given('rooftop-two-stage', stopsAtSwitch, 'LPS1:')
  expect(before).toBeGreaterThan(0.5)
  expect(given('rooftop-two-stage', wrong, 'LPS1:')).toBeGreaterThan(0.95 * before)
  expect(given('rooftop-two-stage', wrong, 'CC1:')).toBe(0)
  expect(given('rooftop-two-stage', [...wrong, volts('LPS1.2', 0)], 'LPS1:')).toBeGreaterThan(0.95 * before)
})

test('a repair that nothing spoke for is doubted aloud, one that was asked for is not', () => {
  const warned = (of: string): string =>
    brief(builtInUnit('rooftop-two-stage'), {
      complaint: 'not-cooling',
      entries: [...stopsAtSwitch, { kind: 'repair', of }],
    }).warning
  expect(warned('CC1')).toMatch(/does not point to Compressor contactor 1/)
  expect(warned('LPS1')).toBe('')
})

test('the bad part replaced takes what was found before with it', () => {
  const right: readonly EntryBody[] = [...stopsAtSwitch, { kind: 'repair', of: 'LPS1' }]
  expect(given('rooftop-two-stage', right, 'LPS1:')).toBe(0)
  const { model, findings, belief } = judge(builtInUnit('rooftop-two-stage'), {
    complaint: 'not-cooling',
    entries: right,
  })
  expect(findings.repaired).toEqual(['LPS1'])
  expect(belief.repairedFaults.map((h) => model.hypotheses[h].of)).toEqual([['LPS1']])
  // live again all the way: nothing behind the switch is suspected for being dead before
  const live = [
    ...right,
    volts('LPS1.2', 25.3),
    volts('CC1.A1', 25.2),
    { kind: 'observation', what: 'pulled-in', of: 'CC1' } as const,
  ]
  expect(given('rooftop-two-stage', live, 'none')).toBeGreaterThan(given('rooftop-two-stage', right, 'none'))
})

test('of two faults the second is found with what was read before the first was repaired', () => {
  const both: readonly EntryBody[] = [
    ...stopsAtSwitch,
    { kind: 'repair', of: 'LPS1' },
    volts('LPS1.2', 25.3),
    volts('HPS1.2', 25.3),
    volts('CC1.A1', 25.2),
    { kind: 'observation', what: 'dropped-out', of: 'CC1' },
  ]
  const { model, ranked } = judge(builtInUnit('rooftop-two-stage'), {
    complaint: 'not-cooling',
    entries: both,
  })
  expect(model.hypotheses[ranked[0]].of.join()).toMatch(/CC1/)
})

test('of two wires that touch, either put right ends it', () => {
  const crossed = builtInUnit('split-heat-pump')
  const { model } = judge(crossed, { complaint: '', entries: [] })
  const touching = model.hypotheses.filter(({ id }) => id.includes(':crossed:'))
  expect(touching.length).toBeGreaterThan(0)
  const [{ id, of }] = touching
  expect(of).toHaveLength(2)
  for (const wire of of) expect(given('split-heat-pump', [{ kind: 'repair', of: wire }], id)).toBe(0)
})

test('what is read in proof is evidence in the call that is proven', () => {
  const proof: EntryBody = {
    kind: 'proof',
    call: 'cool1',
    words: '',
    passed: false,
    values: [
      {
        what: 'Control power, R to C',
        value: 25.1,
        typed: '25.1',
        unit: 'V',
        expected: 25.4,
        at: { meter: 'volts', from: 'TB.R', to: 'TB.C' },
      },
      { what: 'Return air', value: 74, unit: '°F' },
    ],
  }
  const { evidence, now } = gather(builtInUnit('rooftop-two-stage'), {
    complaint: '',
    entries: [{ kind: 'call', call: 'off' }, proof],
  })
  expect(evidence).toMatchObject([
    {
      kind: 'reading',
      meter: 'volts',
      from: 'TB.R',
      to: 'TB.C',
      value: 25.1,
      standing: { call: 'cool1', power: 'on' },
    },
  ])
  expect(now.call).toBe('off')
  // what a screen keeps of a log, for the sake of the entries that tell
  expect(tellsOfCircuit(proof)).toBe(true)
  expect(() =>
    gather(builtInUnit('rooftop-two-stage'), { complaint: '', entries: [{ ...proof, call: 'cool9' }] }),
  ).toThrow(/cool9/)
})

test('a pressure that what was mended had made low is no reason to suspect what else makes it low', () => {
  const measured: EntryBody = { kind: 'condition', of: 'suctionPressure2', value: 20 }
  const shares = (...pressure: readonly EntryBody[]): number => {
    const entries: readonly EntryBody[] = [
      { kind: 'call', call: 'cool2' },
      volts('LPS2.1', 25),
      volts('LPS2.2', 0),
      ...pressure,
      { kind: 'repair', of: 'LPS2', fault: 'LPS2:tripped', words: 'a service valve was closed' },
      { kind: 'observation', of: 'CC2', what: 'dropped-out' },
    ]
    return given('package-proving', entries, 'RC2:low') / given('package-proving', entries, 'CC2:coil-open')
  }
  expect(shares(measured) / shares()).toBeLessThan(2)
})
