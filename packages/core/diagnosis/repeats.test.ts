import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { ohms } from '../visit/testReadings'
import { diagnose } from './diagnose'

const withLeadOff = (lead: string, reading: EntryBody): readonly EntryBody[] => [
  { kind: 'action', do: 'lift', of: lead },
  reading,
  { kind: 'action', do: 'land', of: lead },
]

// a chafed lead between float switch and thermostat, and a first reading with a lead off that is nobody's
test('a reading that no suspect takes for right does not stand in the way of another', () => {
  const { ranked, next, model } = diagnose(builtInUnit('fan-coil-two-pipe'), {
    complaint: 'not-cooling',
    entries: [
      { kind: 'observation', what: 'tripped', of: 'BR' },
      { kind: 'power', is: 'isolated' },
      ohms('GR.A1', 'GR.A2', 3.7),
      ...withLeadOff('TS.Y1-TB.Y1', ohms('TB.L', 'TB.Y1', null)),
      ...withLeadOff('TB.L-FLT.1', ohms('TB.G', 'EARTH', 2.8)),
      ...withLeadOff('TS.G-TB.G', ohms('TB.Y1', 'TB.N', 1)),
      ...withLeadOff('TB.Y1-CO.COM2', ohms('TB.L', 'TB.N', 0.8)),
    ],
  })
  const [first, second] = ranked.slice(0, 2).map((h) => model.hypotheses[h].id)
  expect([first, second].sort()).toEqual(['FLT.2-TS.R:grounded', 'TS.Y1-TB.Y1:grounded'])
  expect(next[0]).toMatchObject({ do: 'measure', meter: 'ohms', deed: { verb: 'lift', of: 'TS.Y1-TB.Y1' } })
})

// behind a contactor that feeds two fans, with ohms taken that show open, as with a lead off
test('ohms that read open where all that is likely has a winding are taken there again', () => {
  const toMetal = ['DS.T1', 'CC1.T1', 'CFC.T1', 'IFC.T1'].map((point) => ohms(point, 'EARTH', null))
  const { next } = diagnose(
    builtInUnit('rooftop-two-stage'),
    {
      complaint: 'not-cooling',
      entries: [
        { kind: 'condition', of: 'outdoorDryBulb', value: 85 },
        { kind: 'observation', what: 'tripped', of: 'BR' },
        { kind: 'power', is: 'isolated' },
        ...toMetal,
        ohms('CFC.T1', 'CFC.T2', null),
        ohms('IDM.C', 'IDM.R', 22),
        ...['DS.L1', 'DS.L2', 'DS.L3'].map((point) => ohms(point, 'EARTH', null)),
      ],
    },
    { count: 6 },
  )
  const atFans = next.filter((step) => step.do === 'measure' && /^(FM1|FM2|CFC)\./.test(step.from))
  expect(atFans).not.toEqual([])
})
