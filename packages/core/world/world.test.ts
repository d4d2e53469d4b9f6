import { faultsOf } from '../diagram/faults'
import type { Fault } from '../parts/effect'
import { builtInUnit } from '../units/index'
import { atArrival } from '../visit/standing'
import { asFault, drawDifference } from './difference'
import { seeded } from './random'
import { everythingUnlike } from './siteUnit'
import { World } from './world'

const diagram = builtInUnit('rooftop-two-stage')
const fault = (id: string): Fault => {
  const found = faultsOf(diagram).find((one) => one.id === id)
  if (!found) throw new Error(`there is no ${id}`)
  return found
}
const even = {
  ...everythingUnlike,
  supply: false,
  plates: false,
  loads: false,
  weather: false,
  readings: false,
}
const calm = { ...even, faults: false }
const cooling = atArrival(diagram, 'cool1')

test('with nothing wrong nothing fails', () => {
  for (const id of ['rooftop-480', 'split-heat-pump', 'terminal-box', 'fan-coil-two-pipe'])
    expect(new World(builtInUnit(id), { faults: [] }, calm, seeded(1)).failing()).toEqual([])
})

test('what stands in one call and what runs on in another are told apart', () => {
  const open = new World(diagram, { faults: [fault('CC1:coil-open')] }, calm, seeded(1)).failing()
  expect(open.find(({ call }) => call === 'cool1')).toMatchObject({ lacks: true, runsOn: false })
  expect(open.some(({ call }) => call === 'fan')).toBe(false)
  const stuck = new World(diagram, { faults: [fault('TS:relayY1-stuck')] }, calm, seeded(1)).failing()
  expect(stuck.find(({ call }) => call === 'fan')).toMatchObject({ lacks: false, runsOn: true })
})

test('a part that is another than drawn is measured as it is, and fails for it', () => {
  const substitutes = new Map([['XF', { secondary: 12 }]])
  const world = new World(diagram, { faults: [], substitutes }, calm, seeded(1))
  expect(world.measure(cooling, 'volts', 'XF.S1', 'XF.S2')).toBeCloseTo(13, 0)
  expect(world.failing().find(({ call }) => call === 'cool1')).toMatchObject({ lacks: true })
})

test('what is repaired is gone, with what it had tripped', () => {
  const grounded = fault('TS.Y1-TB.Y1:grounded')
  const world = new World(diagram, { faults: [grounded, fault('IFC:coil-open')] }, even, seeded(3))
  world.measure(cooling, 'volts', 'TB.R', 'TB.C')
  const putBack = world.repair(({ id }) => id === grounded.id)
  expect(putBack).toContain('FU')
  expect(world.left.map(({ id }) => id)).toEqual(['IFC:coil-open'])
  expect(world.measure(cooling, 'volts', 'TB.R', 'TB.C')).toBeGreaterThan(20)
})

test('what starts over and over is mostly met as it waits, and now and then as it runs', () => {
  const world = new World(diagram, { faults: [fault('DS:pole1-burnt')] }, calm, seeded(2))
  const read = Array.from({ length: 200 }, () => world.measure(cooling, 'volts', 'TB.Y1', 'TB.C') ?? NaN)
  const waiting = read.filter((volts) => volts < 1).length / read.length
  expect(waiting).toBeGreaterThan(0.9)
  expect(waiting).toBeLessThan(1)
})

test('what comes and goes is there in six readings of ten, mostly as it was at the one before', () => {
  const world = new World(diagram, { faults: [fault('CC1:coil-open')], comesAndGoes: true }, calm, seeded(5))
  const looks = Array.from({ length: 300 }, () => world.look(cooling, 'CC1') === 'dropped-out')
  const there = looks.filter(Boolean).length / looks.length
  const kept = looks.filter((is, k) => k > 0 && is === looks[k - 1]).length / looks.length
  expect(there).toBeGreaterThan(0.5)
  expect(there).toBeLessThan(0.7)
  expect(kept).toBeGreaterThan(0.75)
})

test('while what comes and goes is away its dirt stays, and what its switch watches has come back', () => {
  const world = new World(diagram, { faults: [fault('OC:blocked')], comesAndGoes: true }, calm, seeded(9))
  const met = Array.from({ length: 60 }, () => {
    const volts = world.measure(cooling, 'volts', 'HPS1.1', 'HPS1.2') ?? 0
    return { isOpen: volts > 12, psig: world.condition('dischargePressure', 'cool1') }
  })
  const psigWhile = (open: boolean) => new Set(met.flatMap((at) => (at.isOpen === open ? [at.psig] : [])))
  expect(psigWhile(true).size).toBe(1)
  expect(psigWhile(false).size).toBe(1)
  expect(Math.min(...psigWhile(true))).toBeGreaterThan(1.4 * Math.max(...psigWhile(false)))
  const looks = new Set(Array.from({ length: 20 }, () => world.look(cooling, 'OC')))
  expect([...looks]).toEqual(['dirty'])
})

test('a chafe mostly has the ohms of the reading before, and shifts now and then', () => {
  const world = new World(diagram, { faults: [fault('XF.S1-FU.L1:grounded')] }, even, seeded(9))
  const isolated = { ...cooling, power: 'off' as const }
  const read = Array.from({ length: 120 }, () => world.measure(isolated, 'ohms', 'XF.S1', 'EARTH'))
  const kept = read.filter((ohms, k) => k > 0 && ohms === read[k - 1]).length / read.length
  expect(kept).toBeGreaterThan(0.6)
  expect(new Set(read).size).toBeGreaterThan(10)
})

test('what nobody drew is on the unit that it is drawn for, and no fault that is listed', () => {
  const listed = new Set(faultsOf(diagram).map(({ effects }) => JSON.stringify(effects)))
  const random = seeded(11)
  for (let k = 0; k < 25; k++) {
    const difference = drawDifference(diagram, random)
    if (!difference) continue
    const world = new World(
      diagram,
      { faults: [asFault(difference)], substitutes: difference.substitutes },
      calm,
      random,
    )
    expect(() => world.failing()).not.toThrow()
    expect(difference.effects.length + difference.substitutes.size).toBeGreaterThan(0)
    for (const point of difference.points) expect(diagram.points.has(point)).toBe(true)
    const { effects } = difference
    if (effects.some(({ does }) => does === 'move')) expect(listed.has(JSON.stringify(effects))).toBe(false)
  }
})
