import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { ohms } from '../visit/testReadings'
import { diagnose } from './diagnose'

test('with many faint suspects beside one part that leads, what is done to the unit is asked among the strong', () => {
  const volts = (from: string, to: string): EntryBody => ({
    kind: 'reading',
    meter: 'volts',
    from,
    to,
    value: 25.9,
    typed: '25.9',
  })
  const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })
  const { ranked, model, steps } = diagnose(builtInUnit('rooftop-480'), {
    complaint: 'not-cooling',
    entries: [
      ...[seen('DS', 'on'), seen('FILT', 'clean'), seen('BELT', 'whole')],
      ...[seen('DRN', 'running'), seen('OC', 'clean')],
      { kind: 'condition', of: 'outdoorDryBulb', value: 88 },
      ...[seen('CFC', 'dropped-out'), seen('IFC', 'pulled-in')],
      ...[volts('RH.2', 'TB.C'), volts('CC1.A1', 'TB.C')],
      ...[seen('CC1', 'dropped-out'), volts('CC1.A1', 'CC1.A2')],
    ],
  })
  expect(model.hypotheses[ranked[0]].of).toEqual(['CC1'])
  expect(steps.length).toBeGreaterThan(0)
})

const lift = (of: string): EntryBody => ({ kind: 'action', do: 'lift', of })
const without = (of: string, reading: EntryBody): readonly EntryBody[] => [
  lift(of),
  reading,
  { kind: 'action', do: 'land', of },
]
const found: readonly EntryBody[] = [
  { kind: 'observation', of: 'BR', what: 'tripped' },
  { kind: 'power', is: 'isolated' },
  { kind: 'condition', of: 'pipe', value: 43 },
  ...without('TS.W1-TB.W1', ohms('TB.W1', 'EARTH', 0.3)),
  ...without('TS.W1-TB.W1', ohms('TB.W1', 'TB.N', 0.4)),
  ...without('HR.A1', ohms('HR.A1', 'HR.A2', 790)),
]
const after = (entries: readonly EntryBody[]) =>
  diagnose(builtInUnit('fan-coil-two-pipe'), { complaint: 'no-heat', entries: [...found, ...entries] })

test('of two leads either of which may be chafed, one is taken off, and the other read at its ends', () => {
  const { model, ranked, next } = after([])
  const [one, other] = ranked.map((h) => model.hypotheses[h].id)
  expect([one, other].sort()).toEqual(['CO.COLD-HR.A1:grounded', 'TB.W1-CO.COM:grounded'])
  const deed = { verb: 'lift', of: 'CO.COLD-HR.A1', to: '' }
  expect(next).toContainEqual(expect.objectContaining({ do: 'measure', deed }))
  const stillThere = after(without('CO.COLD-HR.A1', ohms('CO.COLD', 'EARTH', 0.4)))
  const [lead] = stillThere.ranked
  expect(stillThere.model.hypotheses[lead].id).toBe('TB.W1-CO.COM:grounded')
  expect(stillThere.belief.probability[lead]).toBeGreaterThan(0.9)
})

test('with both of them off, one goes back to tell which it is', () => {
  const bothOff = [lift('CO.COLD-HR.A1'), lift('TB.W1-CO.COM'), ohms('TB.W1', 'EARTH', 900)]
  const { next } = after(bothOff)
  const landed = next.flatMap((step) => (step.do === 'measure' && step.deed ? [step.deed] : []))
  expect(landed.map(({ verb }) => verb)).toContain('land')
  expect(['CO.COLD-HR.A1', 'TB.W1-CO.COM']).toContain(landed.find(({ verb }) => verb === 'land')?.of)
})

test('where any of a dozen leads may be chafed, one in the middle comes off', () => {
  const { next, ranked, model, belief } = diagnose(builtInUnit('unit-heater'), {
    complaint: 'no-heat',
    entries: [
      { kind: 'observation', of: 'FU', what: 'blown' },
      { kind: 'power', is: 'isolated' },
      ohms('FU.L1', 'FU.T1', 1.1),
      ohms('GR.A1', 'GR.A2', 70),
      ohms('BRL.A1', 'BRL.A2', 70),
      ohms('IC.LI', 'IC.C', 0.5),
      ...without('TS.W1-TB.W1', ohms('TB.W1', 'TB.C', 1800)),
      ...without('TB.R-TS.R', ohms('TB.R', 'TB.C', 0.5)),
    ],
  })
  const chafed = ranked.filter((h) => /^[A-Z]+[0-9]*\.\w+-.*:grounded$/.test(model.hypotheses[h].id))
  const shares = chafed.map((h) => belief.probability[h])
  expect(shares.reduce((sum, share) => sum + share, 0)).toBeGreaterThan(0.85)
  expect(shares[0]).toBeLessThan(0.5)
  const [telling] = [...next].sort((a, b) => b.bits - a.bits)
  expect(telling).toMatchObject({ do: 'measure', meter: 'ohms', deed: { verb: 'lift' } })
  expect(telling.bits).toBeGreaterThan(0.8)
})
