import { liveCandidates } from '../diagnosis/candidates'
import { diagnose } from '../diagnosis/diagnose'
import { builtInUnit, builtInUnitIds } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { commonNear, commonsOf } from './commonNear'

const split = builtInUnit('split-heat-pump')

test('indoors the black lead is on the board, on the roof on the common of the outdoor section', () => {
  expect(commonNear(split, 'FLT.1')).toBe('TB.C')
  expect(commonNear(split, 'HPS.1')).toBe('OT.C')
  expect(commonsOf(split).has('OT.C')).toBe(true)
  // beyond a coil it is common no more
  expect(commonsOf(split).has('CC1.A1')).toBe(false)
})

test.each(builtInUnitIds)(
  '%s: no volts against common are asked for from one place to another far off',
  (id) => {
    const diagram = builtInUnit(id)
    const commons = commonsOf(diagram)
    const placeOf = (point: string): string => diagram.points.get(point)?.zone ?? ''
    const hasCommon = new Set([...commons].map(placeOf))
    const way = (point: string): number => diagram.zones.get(placeOf(point))?.reachSeconds ?? 0
    const against = liveCandidates(diagram).filter(({ meter, to }) => meter === 'volts' && commons.has(to))
    const tooFar = against.filter(
      ({ from, to }) =>
        Math.abs(way(from) - way(to)) >= 100 && hasCommon.has(placeOf(from)) && !commons.has(from),
    )
    expect(against.length).toBeGreaterThan(5)
    expect(tooFar).toEqual([])
  },
)

test('no volts against the common there, with volts from hot to metal, is the common wire to there', () => {
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    volts('TB.Y1', 26),
    volts('CC1.A1', 0.1, 'OT.C'),
    volts('OT.Y', 0.1, 'OT.C'),
    volts('OT.R', 0.1, 'OT.C'),
    volts('OT.R', 26, 'EARTH'),
  ]
  const { ranked, model } = diagnose(split, { complaint: 'not-cooling', entries })
  expect(model.hypotheses[ranked[0]].faults[0].of).toMatch(/\.C-OT\.C/)
})
