import { builtInUnit } from '../units/index'
import type { Fault } from '../parts/effect'
import type { EntryBody } from '../visit/entry'
import { ohms } from '../visit/testReadings'
import { askOf } from './asks'
import { diagnose, judge, type Judgement } from './diagnose'
import { isShort } from './resistance'

const isolated: EntryBody = { kind: 'power', is: 'isolated' }

const beliefIn = ({ belief, model }: Judgement, isIt: (fault: Fault) => boolean): number =>
  belief.probability.reduce((sum, p, h) => (model.hypotheses[h]?.faults.some(isIt) ? sum + p : sum), 0)

/** Belief that something is shorted in a motor of which its three pairs of leads were read. */
function shortedIn(unit: string, part: string, read: readonly [number, number, number]): number {
  const pairs = ['T1 T2', 'T2 T3', 'T1 T3'].map((pair) => pair.split(' '))
  const entries = [
    isolated,
    ...pairs.map(([a, b], k): EntryBody => ohms(`${part}.${a}`, `${part}.${b}`, read[k])),
  ]
  const judgement = judge(builtInUnit(unit), { complaint: 'no-air', entries })
  return beliefIn(judgement, (fault) => fault.of === part && isShort(fault))
}

/** Ohms leg to leg of the blower of an air handler, by its plate. */
const drawn = 2.8
const unit = 'air-handler-heat'

test('three windings alike are good, of whatever make the motor is', () => {
  for (const make of [0.65, 1, 1.5]) {
    const each = Number((make * drawn).toFixed(1))
    expect([make, shortedIn(unit, 'IFM', [each, each, each]) < 0.01]).toEqual([make, true])
  }
})

test('whichever of them has turns shorted is known by the other two', () => {
  // a fifth less than by the plate, all of it
  const [whole, half] = [2.2, 1.2]
  const turned: readonly (readonly [number, number, number])[] = [
    [half, whole, half],
    [half, half, whole],
    [whole, half, half],
  ]
  for (const read of turned) expect([read, shortedIn(unit, 'IFM', read) > 0.8]).toEqual([read, true])
})

test('of two coils alike, the one with half the ohms of the other is held shorted', () => {
  const diagram = builtInUnit('rooftop-480')
  const shareOf = (...read: EntryBody[]): number =>
    beliefIn(
      judge(diagram, { complaint: 'breaker-goes', entries: [isolated, ...read] }),
      ({ id }) => id === 'CC2:coil-shorted',
    )
  const low = ohms('CC2.A1', 'CC2.A2', 5.2)
  // with its leads on it may be what they lead to as well
  expect(shareOf(ohms('CC1.A1', 'CC1.A2', 11.5), low)).toBeGreaterThan(0.7)
  expect(shareOf(low)).toBeLessThan(0.5)
  // where both have so few, they are of another make
  expect(shareOf(ohms('CC1.A1', 'CC1.A2', 7.4), ohms('CC2.A1', 'CC2.A2', 7.4))).toBeLessThan(0.1)
})

test('after a trip the windings of a motor are asked for, though by the plate nobody could tell', () => {
  const diagram = builtInUnit('rooftop-480')
  const entries: readonly EntryBody[] = [
    { kind: 'observation', what: 'tripped', of: 'BR' },
    isolated,
    ohms('CC2.T1', 'EARTH', null),
  ]
  const diagnosis = diagnose(diagram, { complaint: 'breaker-goes', entries }, { count: 40 })
  const { next } = diagnosis
  const readings = next.flatMap((step) => (step.do === 'measure' ? [step] : []))
  const across = readings.filter(({ from, to }) => [from, to].every((point) => /^IF[CM]\.T/.test(point)))
  expect(across.map(({ meter, power }) => [meter, power])).toContainEqual(['ohms', 'off'])
  expect(askOf(diagnosis, across[0])).toMatchObject({
    healthy: '2.7 Ω',
    like: 'the same for all three pairs',
  })
  // nor is anybody sent to see once more that it has tripped
  expect(next.filter((step) => step.do === 'look' && step.of === 'BR')).toEqual([])
})
