import { builtInUnit, builtInUnitIds } from '../units/index'
import { complaintChance } from './complaint'
import { judge, modelOf } from './diagnose'

const chanceOf = (unit: string, complaint: string, id: string): number => {
  const model = modelOf(builtInUnit(unit))
  const h = model.hypotheses.findIndex((each) => each.id === id)
  if (h < 0) throw new Error(`${unit} has no ${id}`)
  return complaintChance(model, complaint, h)
}

test('heat goes with the square of the amps: an element on its frame, with its fuse gone, leaves a third of it', () => {
  // two of the three elements at 120 V instead of 208: 58 % of their amps, 33 % of their heat
  expect(chanceOf('package-proving', 'no-heat', 'HB1:1-grounded')).toBe(1)
  expect(chanceOf('package-proving', 'no-heat', 'HF1:fuse1-open')).toBe(1)
  expect(chanceOf('package-proving', 'no-heat', 'HB1:element1-open')).toBe(1)
})

test('what leaves most of the heat is no reason to call', () => {
  expect(chanceOf('package-proving', 'no-heat', 'CC1:pole1-open')).toBeLessThan(0.1)
})

test.each([
  [
    'fan-coil-two-pipe',
    ['GR:coil-open', 'IFM:seized', 'FILT:blocked', 'BR:off'],
    ['VR:coil-open', 'CO:stuck-hot'],
  ],
  [
    'rooftop-two-stage',
    ['IFC:coil-open', 'BELT:off', 'FILT:blocked'],
    ['C1:protector-open', 'CFC:coil-open', 'LPS1:tripped'],
  ],
  ['terminal-box', ['GR:made1-open', 'CAP1:plates-open'], ['HC1:coil-open', 'KW2:contact-open']],
] as const)(
  'on %s no air is for want of what moves it: no valve, compressor or heater',
  (unit, gives, doesNot) => {
    // a unit that is dead altogether is mostly complained of otherwise
    for (const id of gives) expect([id, chanceOf(unit, 'no-air', id) >= 0.6]).toEqual([id, true])
    for (const id of doesNot) expect([id, chanceOf(unit, 'no-air', id) < 0.1]).toEqual([id, true])
  },
)

test('of a second stage people speak where the first still cools', () => {
  const said = (id: string): number => chanceOf('rooftop-two-stage', 'warm-afternoons', id)
  expect(said('TS.Y2-TB.Y2:open')).toBe(1)
  expect(said('IFC:coil-open')).toBeLessThan(said('TS.Y2-TB.Y2:open'))
  expect(chanceOf('rooftop-two-stage', 'not-cooling', 'IFC:coil-open')).toBe(1)
  // dirt and pressure stop the unit when it is hot, and let it go again
  expect(said('OC:blocked')).toBe(1)
})

test('a second stage that never comes is no dirty filter, nor what stops the first stage too', () => {
  const said = (id: string): number => chanceOf('rooftop-two-stage', 'second-stage-never', id)
  for (const id of ['TS.Y2-TB.Y2:open', 'CC2:coil-open', 'LPS2:tripped'])
    expect([id, said(id)]).toEqual([id, 1])
  for (const id of ['FILT:blocked', 'IFC:coil-open', 'DS:pole1-open', 'TS.Y1-TB.Y1:open', 'CC2:coil-shorted'])
    expect([id, said(id) < 0.1]).toEqual([id, true])
})

test.each(builtInUnitIds)(
  'on %s a blocked filter is a reason for every complaint of cold, heat or air',
  (unit) => {
    const diagram = builtInUnit(unit)
    const filter = modelOf(diagram).hypotheses.find(({ id }) => id === 'FILT:blocked')
    const ofRooms = diagram.complaints.filter(({ means }) =>
      /^no-(cooling|heat|air)$|^weak-heat$/.test(means),
    )
    const given = filter ? ofRooms.map(({ id }) => [id, chanceOf(unit, id, filter.id) >= 0.4]) : []
    expect(given).toEqual(filter ? ofRooms.map(({ id }) => [id, true]) : [])
  },
)

test('a dirty filter that was seen leads the search of a heat pump that does not cool', () => {
  const { model, ranked, belief } = judge(builtInUnit('package-heat-pump'), {
    complaint: 'not-cooling',
    entries: [
      { kind: 'call', call: 'cool1' },
      { kind: 'observation', what: 'dirty', of: 'FILT' },
    ],
  })
  expect(model.hypotheses[ranked[0]].id).toBe('FILT:blocked')
  expect(belief.probability[ranked[0]]).toBeGreaterThan(0.25)
})

test('a charge a little low is a reason to complain of cold, and of heat where a compressor heats', () => {
  const said = (unit: string, complaint: string) => chanceOf(unit, complaint, 'RC1:short')
  for (const unit of ['fan-coil-cooling', 'rooftop-two-stage', 'split-heat-pump'])
    expect([unit, said(unit, 'not-cooling') > 0.3]).toEqual([unit, true])
  expect(said('split-heat-pump', 'cold-mornings')).toBeGreaterThan(0.3)
  expect(said('rooftop-two-stage', 'no-heat')).toBeLessThan(0.1)
})

test('ice with all running and a clean filter is the charge, a blower seen backwards its leads', () => {
  type Seen = readonly [of: string, what: string]
  const leaderOf = (unit: string, complaint: string, call: string, looks: readonly Seen[]): string => {
    const entries = looks.map(([of, what]) => ({ kind: 'observation', of, what }) as const)
    const { model, ranked } = judge(builtInUnit(unit), {
      complaint,
      entries: [{ kind: 'call', call }, ...entries],
    })
    return model.hypotheses[ranked[0]].id
  }
  const running: readonly Seen[] = [
    ['C1', 'turning'],
    ['IFM', 'turning'],
    ['RC1', 'iced'],
    ['FILT', 'clean'],
  ]
  expect(leaderOf('fan-coil-cooling', 'not-cooling', 'cool1', running)).toBe('RC1:short')
  expect(leaderOf('rooftop-two-stage', 'no-air', 'fan', [['IFM', 'backwards']])).toBe('IFM:leads-swapped')
  // behind a monitor the supply's own order would have stopped it
  expect(leaderOf('air-handler-heat', 'no-heat', 'heat1', [['IFM', 'backwards']])).toBe('IFM:leads-swapped')
})
