import { faultsOf } from '../diagram/faults'
import { builtInUnit, builtInUnitIds } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { diagnose } from './diagnose'

const cooling: EntryBody = { kind: 'call', call: 'cool1' }

test.each(['fan-coil-cooling', 'rooftop-two-stage'])(
  '%s: 25 V leave the thermostat and 14 arrive: a joint of that lead leads, no pole of the line',
  (id) => {
    const { model, belief, ranked, next } = diagnose(builtInUnit(id), {
      complaint: 'not-cooling',
      entries: [cooling, volts('TS.Y1', 25, 'TS.C'), volts('TB.Y1', 14, 'TB.C')],
    })
    const poles = model.hypotheses.reduce(
      (sum, each, h) => (/:pole\d-burnt$/.test(each.id) ? sum + belief.probability[h] : sum),
      0,
    )
    expect(model.hypotheses[ranked[0]].id).toBe('TS.Y1-TB.Y1:poor-joint')
    expect(poles).toBeLessThan(0.05)
    expect(next.length).toBeGreaterThan(0)
  },
)

test.each(builtInUnitIds)('%s: a joint may be poor in a cable of the field alone, and there seldom', (id) => {
  const faults = faultsOf(builtInUnit(id))
  for (const { id: joint, of, prior } of faults.filter((fault) => fault.id.endsWith(':poor-joint'))) {
    const open = faults.find((fault) => fault.id === `${of}:open`)
    expect([joint, prior < (open?.prior ?? 0) / 2]).toEqual([joint, true])
  }
})
