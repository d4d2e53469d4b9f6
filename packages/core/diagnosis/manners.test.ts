import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { ohms, volts } from '../visit/testReadings'
import { diagnose } from './diagnose'

test('after a trip, what is grounded behind the breaker is found by ohms to bare metal, isolated', () => {
  const diagram = builtInUnit('package-heat-pump')
  const entries: readonly EntryBody[] = [
    { kind: 'observation', what: 'tripped', of: 'BR1' },
    { kind: 'power', is: 'isolated' },
    { kind: 'reading', meter: 'ohms', from: 'IFM.C', to: 'IFM.R', value: 7 },
  ]
  const { next } = diagnose(diagram, { complaint: 'no-heat', entries }, { school: 'best', count: 8 })
  const toMetal = next.filter((step) => step.do === 'measure' && step.meter === 'ohms' && step.to === 'EARTH')
  expect(toMetal.length).toBeGreaterThan(0)
  expect(next.every(({ power }) => power === 'off')).toBe(true)
})

test.each([
  ['air-handler-heat', 'breaker-goes', 'tripped', 'BR'],
  ['air-handler-drive', 'breaker-goes', 'tripped', 'BR'],
  ['split-heat-pump', 'blank-thermostat', 'tripped', 'BRI'],
  ['terminal-box', 'no-heat', 'tripped', 'BR'],
])(
  '%s, %s: where power stays off after a trip, what is read without it is asked for',
  (unit, complaint, what, of) => {
    const { next } = diagnose(builtInUnit(unit), { complaint, entries: [{ kind: 'observation', what, of }] })
    const [first] = next
    if (first?.do !== 'look') expect(first).toMatchObject({ do: 'measure', power: 'off' })
    expect(next.filter((step) => step.do === 'measure' && step.power === 'on')).toEqual([])
  },
)

describe('power stays off behind a control fuse that opened', () => {
  const diagram = builtInUnit('split-heat-pump')
  const withPower = (...entries: readonly EntryBody[]) =>
    diagnose(diagram, { complaint: 'blank-thermostat', entries }, { count: 20 }).steps.filter(
      (step) => step.power === 'on' && (step.do === 'measure' || step.do === 'wait'),
    )
  const blown: EntryBody = { kind: 'observation', what: 'blown', of: 'FU' }
  const isolated: EntryBody = { kind: 'power', is: 'isolated' }
  const renewed: EntryBody = { kind: 'repair', of: 'FU' }

  test('that was seen, or has no way through it', () => {
    expect(withPower(blown)).toEqual([])
    expect(withPower(isolated, ohms('FU.L1', 'FU.T1', null))).toEqual([])
  })

  test('once more, when the new one has blown as well', () => {
    expect(withPower(blown, isolated, renewed, { kind: 'power', is: 'on' }, blown)).toEqual([])
  })

  test('but not behind one that was renewed and has not been found open since', () => {
    expect(withPower(blown, isolated, renewed, { kind: 'power', is: 'on' }).length).toBeGreaterThan(0)
  })
})

test('before any volts were read, a clamp that tells a little more than volts waits for them', () => {
  const diagram = builtInUnit('air-handler-heat')
  const entries: readonly EntryBody[] = [{ kind: 'observation', what: 'pulled-in', of: 'IFC' }]
  const lukewarm = diagram.complaints.find(({ means }) => means === 'weak-heat')?.id ?? ''
  const [first] = diagnose(diagram, { complaint: lukewarm, entries }, { count: 1 }).next
  expect(first).toMatchObject({ do: 'measure', meter: 'volts', call: 'heat2', power: 'on' })
})

test('no drop in millivolts is asked for along a path that most likely carries nothing', () => {
  const diagram = builtInUnit('fan-coil-cooling')
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    { kind: 'reading', meter: 'volts', from: 'XF.COM', to: 'XF.P240', value: 240 },
    { kind: 'reading', meter: 'volts', from: 'XF.S1', to: 'XF.S2', value: 0 },
  ]
  const { steps, next } = diagnose(diagram, { complaint: 'blank-thermostat', entries }, { count: 8 })
  const drops = [...steps, ...next].filter((step) => step.do === 'measure' && step.meter === 'millivolts')
  expect(drops).toEqual([])
})

test('nor along one that was clamped at a small part of its current: volts tell where it stops', () => {
  const diagram = builtInUnit('air-handler-drive')
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'fan' },
    { kind: 'wait', seconds: 120 },
    volts('TB.G', 26.4),
    { kind: 'reading', meter: 'amps', from: 'FU.T1', to: 'DR.1', value: 0.05 },
  ]
  const { next } = diagnose(diagram, { complaint: 'no-air', entries }, { school: 'best' })
  expect(next[0]).toMatchObject({ do: 'measure', meter: 'volts', from: expect.stringMatching(/^(OLB|BC)\./) })
})
