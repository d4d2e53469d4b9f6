import { judge } from '../diagnosis/diagnose'
import { builtInUnit } from '../units/index'
import { entryProblem } from '../visit/checkEntry'
import type { EntryBody } from '../visit/entry'
import { entryBodySchema } from '../visit/entrySchema'
import { calculationEntry, conditionsGiven, filledAt, readingsGiven } from './fromVisit'
import { benchToolOf } from './index'
import type { BenchPlace, BenchTool } from './tool'

const rooftop = builtInUnit('rooftop-two-stage')
const heatUnit = builtInUnit('air-handler-heat')

function at(id: string, diagram: typeof rooftop, part: string): { tool: BenchTool; place: BenchPlace } {
  const tool = benchToolOf(id)
  const place = tool?.places(diagram).find((each) => each.part === part)
  if (!tool || !place) throw new Error(`${id} has no place at ${part}`)
  return { tool, place }
}

test('a tool is filled from the plate and from what was read there, whichever way round the leads were', () => {
  const { place } = at('pole-drop', rooftop, 'CC1')
  const { drop1, drop2 } = place.readings
  const filled = filledAt(place, [
    { ...drop1, value: 40 },
    { ...drop1, value: 55 },
    { meter: 'millivolts', from: drop2.to ?? '', to: drop2.from, value: 60 },
    { ...drop2, meter: 'volts', value: 200 },
  ])
  expect(filled).toEqual({ drop1: 55, drop2: 60 })
  expect(filledAt(at('heater-three-phase', heatUnit, 'HB1').place, [])).toMatchObject({ kw: 15, rated: 480 })
})

test('its work is an entry that any visit takes, and says what was given and found', async () => {
  const { tool } = at('pole-drop', rooftop, 'CC1')
  const entry = calculationEntry(tool, { drop1: 40, drop2: 42, drop3: 350, load: 16 }, 'CC1')
  expect(entry).toMatchObject({ level: 'act', of: 'CC1', given: { length: 4 } })
  await expect(entryBodySchema.validate(entry, { strict: true })).resolves.toBeTruthy()
  expect(calculationEntry(tool, { drop1: 40 }, 'CC1')).toBeNull()
})

const humming: EntryBody = { kind: 'observation', of: 'FM1', what: 'humming' }

test.each([
  // a leg that is gone at the unit's disconnect is lost there or ahead of it
  [
    'unbalance',
    rooftop,
    'DS',
    'off',
    { voltsA: 208, voltsB: 104, voltsC: 104 },
    /^(SV:L3-lost|BR:.*3|DS:pole3|.*L3.*:)/,
  ],
  [
    'heater-three-phase',
    heatUnit,
    'HB2',
    'heat2',
    { kw: 15, rated: 480, measured: 480, ampsA: 10.4, ampsB: 10.4, ampsC: 18 },
    /^HB2:element/,
  ],
  ['transformer-tap', rooftop, 'XF', 'off', { supply: 208, secondary: 22.3 }, /^XF:.*240/],
  ['pole-volts', rooftop, 'CC1', 'cool1', { across1: 0, across2: 0, across3: 54 }, /^CC1:pole3/],
  ['coil-ohms', rooftop, 'CC1', 'isolated', { measured: Infinity, rated: 12 }, /^CC1:coil-open/],
  [
    'winding-ohms',
    rooftop,
    'C1',
    'isolated',
    { ohms12: Infinity, ohms23: 0.7, ohms31: Infinity },
    /^C1:winding1/,
  ],
  // with volts across it its motor stands and hums: its protector has not opened yet
  ['capacitor', rooftop, 'CAP1', 'cool1', { load: 0, across: 205, plate: 7.5 }, /^CAP1:/, humming],
  ['sensor', rooftop, 'OAT', 'fan', { air: 80, direct: 3.6 }, /^OAT:drifted-cold/],
] as const)(
  'what %s is given speaks about the circuit: the true cause leads by it alone',
  (id, diagram, part, call, given, cause, ...seen: readonly EntryBody[]) => {
    const { place } = at(id, diagram, part)
    const readings = readingsGiven(place, given, {})
    for (const reading of readings) expect(entryProblem(diagram, reading)).toBe('')
    const entries: readonly EntryBody[] = [
      call === 'isolated' ? { kind: 'power', is: 'isolated' } : { kind: 'call', call },
      ...seen,
      ...readings,
      ...conditionsGiven(place, given, {}),
    ]
    const { ranked, model } = judge(diagram, { complaint: '', entries })
    expect(model.hypotheses[ranked[0]].id).toMatch(cause)
  },
)
