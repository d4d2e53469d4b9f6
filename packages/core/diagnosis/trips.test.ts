import { builtInUnit } from '../units/index'
import { atArrival } from '../visit/standing'
import { UnitModel } from './predictor'
import type { SituationModel } from './situationModel'

/** Fuses and breakers that stand open under a hypothesis and not without it, read off the solved circuit. */
function openedUnder(model: UnitModel, situation: SituationModel, h: number): readonly string[] {
  const { network, healthy } = situation.circuit
  const { states } = situation.settle(h)
  const opened = network.links.flatMap(({ part }, link) =>
    part?.kind.overcurrent && states[link] === 'open' && healthy.states[link] !== 'open' ? [part.id] : [],
  )
  return [...new Set(opened)].filter((part) => !model.hypotheses[h].of.includes(part)).sort()
}

test.each(['rooftop-480', 'fan-coil-two-pipe'])(
  '%s: what a fault opens is known without solving what can draw nothing, and nothing is missed',
  (id) => {
    const diagram = builtInUnit(id)
    const model = new UnitModel(diagram)
    let [none, some] = [0, 0]
    for (const call of diagram.calls) {
      const situation = model.situation(atArrival(diagram, call.id))
      for (const h of model.everySingle.filter((single) => model.mayTrip(single)))
        for (const version of new Set([h, model.version(h, 'least', []), model.version(h, 'most', [])])) {
          const known = situation.trips(version).map(({ part }) => part)
          if (known.length > 0) some += 1
          else none += 1
          expect([version, ...known.sort()]).toEqual([version, ...openedUnder(model, situation, version)])
        }
    }
    expect(Math.min(none, some)).toBeGreaterThan(100)
  },
)

test('a short that starves the relay which feeds it opens its fuse by the stroke, and at once', () => {
  const model = new UnitModel(builtInUnit('fan-coil-cooling'))
  const situation = model.situation(atArrival(model.diagram, 'cool1'))
  const shorted = model.hypotheses.findIndex(({ id }) => id === 'CC1:coil-shorted')
  const held = situation.circuit.vary([
    ...model.hypotheses[shorted].effects,
    ...situation.circuit.tripsHeld(situation.circuit.healthy),
  ])
  expect(held.oscillates).toBe(true)
  const [trip] = situation.trips(shorted)
  expect(trip.part).toBe('FU')
  expect(trip.seconds()).toBeLessThan(1)
})
