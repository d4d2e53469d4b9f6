import { Circuit } from '../circuit/circuit'
import { loadAmps } from '../circuit/loadAmps'
import { implausible } from '../circuit/plausible'
import { situationOf } from '../circuit/situation'
import { sketchOf } from '../diagnosis/sketch'
import { readLadder } from '../diagram/readLadder'
import { families } from './index'
import { pairwiseMembers } from './pairwise'

const members = families
  .map(({ read }) => read())
  .flatMap((family) =>
    pairwiseMembers(family).map((chosen) => {
      const named = Object.entries(chosen).map(([option, value]) => `${option} ${value}`)
      return { name: `${family.id}: ${named.join(', ')}`, ladder: family.ladderOf(chosen) }
    }),
  )

/** Calls for which nothing is energised on purpose. */
const quiet = new Set(['off'])

test.each(members)('$name', ({ ladder }) => {
  const diagram = readLadder(ladder)
  expect(implausible(diagram)).toEqual([])
  const traced = new Set(diagram.traces.map(({ call }) => call))
  for (const { id } of diagram.calls.filter((call) => !quiet.has(call.id))) {
    const { healthy } = new Circuit(diagram, situationOf(diagram, id))
    const { oscillates } = healthy
    const runs = [...loadAmps(healthy).values()].some((amps) => amps > 0.05)
    expect({ call: id, traced: traced.has(id), oscillates, runs }).toEqual({
      call: id,
      traced: true,
      oscillates: false,
      runs: true,
    })
  }
})

/** The last stop of a strip is the load that the call is for: healthy, the coil has its volts. */
test.each(members.filter((_, k) => k % 5 === 0))(
  '$name: every traced load is fed in its call',
  ({ ladder }) => {
    const diagram = readLadder(ladder)
    for (const { id } of diagram.calls.filter((call) => !quiet.has(call.id)))
      for (const strip of sketchOf(ladder, id).strips) {
        const last = strip.stops.at(-1)
        expect({ call: id, strip: strip.words, last: last?.expected ?? null }).toEqual({
          call: id,
          strip: strip.words,
          last: expect.anything(),
        })
      }
  },
)

test('each family has a place of its own among those offered, and stands there', () => {
  const places = families.map(({ place }) => place)
  expect(places).toEqual(places.map((_, k) => k + 1))
  expect(families[0].id).toBe('rooftop')
})
