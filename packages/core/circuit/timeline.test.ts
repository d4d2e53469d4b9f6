import { faultsOf } from '../diagram/faults'
import { openingSeconds } from '../physics/fuseTimes'
import { builtInUnit } from '../units/index'
import { situationOf } from './situation'
import { playTimeline } from './timeline'

const play = (id: string, call: string, fault: string | null, seconds = 1200) => {
  const unit = builtInUnit(id)
  const effects = faultsOf(unit).find((candidate) => candidate.id === fault)?.effects ?? []
  return playTimeline(unit, situationOf(unit, 'off'), situationOf(unit, call), effects, seconds)
}
const when = (timeline: ReturnType<typeof play>, link: string, to: string): number =>
  timeline.events.find((event) => event.link === link && event.to === to)?.seconds ?? NaN

test('the compressor waits out its delay, the blower does not', () => {
  const timeline = play('rooftop-two-stage', 'cool1', null)
  expect(when(timeline, 'IFC/armature', 'in')).toBe(0)
  expect(when(timeline, 'CC1/armature', 'in')).toBe(300)
  expect(timeline.periodSeconds).toBeNull()
})

test('when power comes back the thermostat starts up first, and the compressor waits from then', () => {
  const unit = builtInUnit('rooftop-two-stage')
  const back = playTimeline(
    unit,
    situationOf(unit, 'cool1', 'off'),
    situationOf(unit, 'cool1', 'on'),
    [],
    1200,
  )
  // the phase monitor passes power on after 5 s
  expect(when(back, 'TS/electronicsState', 'awake')).toBe(65)
  expect(when(back, 'IFC/armature', 'in')).toBe(65)
  expect(when(back, 'CC1/armature', 'in')).toBe(365)
  expect(back.states).toEqual(play('rooftop-two-stage', 'cool1', null).states)
})

test('an isolator that stays off keeps off what it feeds, when another comes back', () => {
  const unit = builtInUnit('split-heat-pump')
  const [, other] = unit.isolators
  const back = playTimeline(
    unit,
    situationOf(unit, 'heat1', 'off'),
    situationOf(unit, 'heat1', 'on', {}, [], [other]),
    [],
    1200,
  )
  expect(unit.isolators.length).toBeGreaterThan(1)
  expect(back.events.map(({ link }) => link.split('/')[0])).not.toContain(other)
})

test('a sequencer brings its contacts in one after another', () => {
  const timeline = play('split-heat-pump', 'emergency', null)
  const first = when(timeline, 'SEQ/make1', 'closed')
  expect(first).toBeGreaterThanOrEqual(30)
  expect(when(timeline, 'SEQ/make2', 'closed')).toBeGreaterThan(first)
  expect(when(timeline, 'HR/made1', 'closed')).toBe(first)
})

test('a shorted coil with no fuse restarts the thermostat over and over, with the period of its restart', () => {
  const timeline = play('package-heat-pump-unfused', 'emergency', 'HC2:coil-shorted')
  expect(timeline.periodSeconds).not.toBeNull()
  expect(timeline.periodSeconds ?? 0).toBeGreaterThanOrEqual(60)
  expect(timeline.periodSeconds ?? 0).toBeLessThan(62)
})

test('the same with a fuse ends with the fuse', () => {
  const timeline = play('package-heat-pump', 'emergency', 'HC2:coil-shorted')
  expect(timeline.events.some(({ link, to }) => link === 'FU/fuse1' && to === 'open')).toBe(true)
  expect(timeline.periodSeconds).toBeNull()
})

test('opening times stay within the published bands', () => {
  expect(openingSeconds('fuse', 1.1)).toBe(Infinity)
  const bands = [
    [1.35, 0.75, 600],
    [2, 0.15, 5],
    [3.5, 0.04, 0.5],
    [6, 0.02, 0.1],
  ] as const
  for (const [multiple, least, most] of bands) {
    expect(openingSeconds('fuse', multiple)).toBeGreaterThanOrEqual(least)
    expect(openingSeconds('fuse', multiple)).toBeLessThanOrEqual(most)
  }
})

test('when electric heat ends the blower runs on for its delay', () => {
  const unit = builtInUnit('package-heat-pump')
  const off = playTimeline(unit, situationOf(unit, 'heat2'), situationOf(unit, 'off'), [], 1200)
  expect(when(off, 'HC1/armature', 'out')).toBe(0)
  expect(when(off, 'GR/made1', 'open')).toBe(45)
  expect(when(off, 'IFM/rotor', 'still')).toBe(45)
})
