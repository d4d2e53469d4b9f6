import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { ohms, volts } from '../visit/testReadings'
import { askOf } from './asks'
import { diagnose, type Diagnosis } from './diagnose'

/**
 * Readings as they are taken: a lead off that nobody spoke of, a floating leg, a part that was moved, a
 * blunder.
 */
const call = (id: string): EntryBody => ({ kind: 'call', call: id })
const isolated: EntryBody = { kind: 'power', is: 'isolated' }

const shareOf = ({ model, belief }: Diagnosis, ...ids: readonly string[]): number =>
  model.hypotheses.reduce((sum, { id }, h) => (ids.includes(id) ? sum + belief.probability[h] : sum), 0)
const leader = ({ model, ranked }: Diagnosis): string => model.hypotheses[ranked[0]].id

test('OL across a sensor is a broken sensor, whether or not its lead was off', () => {
  const entries: readonly EntryBody[] = [
    call('cool1'),
    { kind: 'condition', of: 'outdoorDryBulb', value: 90 },
    volts('EC.Y1O', 0, 'EC.C'),
    isolated,
    ohms('OAT.1', 'OAT.2', null),
  ]
  expect(leader(diagnose(builtInUnit('rooftop-two-stage'), { complaint: 'not-cooling', entries }))).toBe(
    'OAT:element-open',
  )
})

test('an open proving loop shows OL or anything that a board’s input makes of it', () => {
  const unit = builtInUnit('package-proving')
  for (const shown of [null, 2200, 47_000]) {
    const found = diagnose(unit, {
      complaint: 'not-cooling',
      entries: [
        call('cool1'),
        { kind: 'observation', of: 'PB1', what: 'code', words: '3 flashes' },
        isolated,
        ohms('PB1.P1', 'PB1.P2', shown),
      ],
    })
    const plug = shareOf(found, 'PK1:unplugged', 'PK1:pin1-open', 'PK1:pin2-open')
    expect(plug).toBeGreaterThan(0.3)
    expect(shareOf(found, 'OC:blocked', 'LPS1:tripped')).toBeLessThan(0.1)
  }
})

test('ohms into a control are no firmer for a grounded rod than for a dirty one', () => {
  const unit = builtInUnit('rooftop-enthalpy')
  const odds = (...entries: readonly EntryBody[]): number => {
    const found = diagnose(unit, { complaint: 'no-heat', entries: [call('heat1'), isolated, ...entries] })
    return shareOf(found, 'FR:1-grounded') / shareOf(found, 'FR:dirty')
  }
  // between terminals that neither of them touches
  expect(odds(ohms('IC.PS', 'IC.MV', 1843.7)) / odds()).toBeCloseTo(1, 1)
  expect(odds(ohms('IC.FS', 'IC.C', 999_626.5)) / odds()).toBeLessThan(0.5)
})

describe('a cooling call in the season of a heating complaint', () => {
  const unit = builtInUnit('rooftop-enthalpy')
  const limitOpen: readonly EntryBody[] = [
    call('heat1'),
    { kind: 'observation', of: 'BRL', what: 'pulled-in' },
    { kind: 'observation', of: 'IFC', what: 'pulled-in' },
    { kind: 'observation', of: 'GR', what: 'dropped-out' },
    { kind: 'reading', meter: 'amps', from: 'XF.S1', to: 'FU.L1', value: 1.2 },
    volts('LS1.2', 0, 'TB.C'),
    { kind: 'observation', of: 'FILT', what: 'clean' },
  ]
  // no compressor runs in the cold: it says nothing of a belt that would freeze the coil as well
  const noCompressor: readonly EntryBody[] = [call('cool1'), volts('CC1.13', 26, 'CC1.14')]

  test('is not read as if it were summer', () => {
    const limit = (...entries: readonly EntryBody[]): number =>
      shareOf(diagnose(unit, { complaint: 'no-heat', entries }), 'LS1:tripped', 'LS1:contact-open')
    expect(limit(...limitOpen, ...noCompressor)).toBeGreaterThan(0.5 * limit(...limitOpen))
  })

  // with air of the season outside, the economizer cools alone in the first stage
  test('is not asked for where the season lets nothing run that would tell', () => {
    const { next } = diagnose(
      unit,
      { complaint: 'no-heat', entries: limitOpen },
      { school: 'best', count: 12, sorts: ['measure', 'condition'] },
    )
    expect(next.length).toBeGreaterThan(0)
    const atCompressor = next.filter((step) => step.do === 'measure' && step.from.startsWith('CC1.'))
    expect(atCompressor.filter(({ call: set }) => set === 'cool1')).toEqual([])
  })
})

// what stands on it is what an idle transformer and the inputs of a monitor leave of 480 V
test.each([30, 90, 150])('%d V to a leg that is dead is a pole that is open', (floating) => {
  const found = diagnose(builtInUnit('air-handler-heat'), {
    complaint: 'blank-thermostat',
    entries: [
      call('heat1'),
      volts('DS.L1', 480, 'DS.L2'),
      volts('DS.T1', floating, 'DS.T2'),
      volts('DS.T2', 481, 'DS.T3'),
    ],
  })
  expect(leader(found)).toBe('DS:pole1-open')
})

test('what came back while a plug was moved is at that plug, and less so when something else was moved', () => {
  const unit = builtInUnit('package-proving')
  const moved = (of: string): number =>
    shareOf(
      diagnose(unit, {
        complaint: 'comes-and-goes',
        entries: [
          call('cool1'),
          volts('CC1.A1', 0, 'CC1.A2'),
          { kind: 'action', do: 'wiggle', of },
          volts('CC1.A1', 25, 'CC1.A2'),
        ],
      }),
      'PK1:unplugged',
      'PK1:pin3-open',
      'PK1:pin4-open',
    )
  expect(moved('PK1')).toBeGreaterThan(5 * moved('LPS1'))
})

describe('a reading that fits nothing likely', () => {
  const unit = builtInUnit('rooftop-two-stage')
  const odd = volts('PH.1A', 12, 'TB.C')
  const asked = (...entries: readonly EntryBody[]) => {
    const found = diagnose(
      unit,
      { complaint: 'no-heat', entries: [call('heat1'), volts('TB.W1', 25, 'TB.C'), ...entries] },
      { school: 'best', count: 400, sorts: ['measure'] },
    )
    const again = found.next.filter((step) => step.do === 'measure' && step.again)
    const points = again.map((step) => step.do === 'measure' && step.from)
    return { found, again, points }
  }

  test('is asked for once more, in words, and not a third time', () => {
    const { found, again, points } = asked(odd)
    expect(points).toEqual(['PH.1A'])
    expect(askOf(found, again[0]).reason).toMatch(/^Once more, leads and function checked/)
    expect(asked(odd, odd).points).not.toContain('PH.1A')
  })

  test('is not asked for again where it fits', () => {
    expect(asked().points).toEqual([])
  })
})
