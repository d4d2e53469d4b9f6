import { partOfPoint, type Diagram } from '../diagram/diagram'
import { faultsOf } from '../diagram/faults'
import { supplies } from '../diagram/roles'
import { earth, type PointId } from '../parts/effect'
import { builtInUnit, builtInUnitIds } from '../units/index'
import { readAlone } from './readAlone'

const everyWay = (diagram: Diagram) =>
  faultsOf(diagram).flatMap((fault) => {
    const way = readAlone(diagram, fault)
    return way ? [{ fault, way }] : []
  })

test.each(builtInUnitIds)('%s: nothing comes off at a supply or an isolator, nor is read there', (id) => {
  const diagram = builtInUnit(id)
  const live = new Set([...diagram.isolators, ...supplies(diagram).map((supply) => supply.id)])
  const ways = everyWay(diagram)
  expect(ways.length).toBeGreaterThan(10)
  for (const { way } of ways) {
    if (diagram.points.has(way.lifted)) expect(live).not.toContain(partOfPoint(way.lifted))
    for (const { from } of way.readings) expect(live).not.toContain(partOfPoint(from))
  }
})

test.each(builtInUnitIds)('%s: both leads of the meter are in one place', (id) => {
  const diagram = builtInUnit(id)
  const zoneOf = (point: PointId): string | undefined => diagram.points.get(point)?.zone
  for (const { fault, way } of everyWay(diagram))
    for (const { from, to } of way.readings)
      expect([fault.id, to === earth ? zoneOf(from) : zoneOf(to)]).toEqual([fault.id, zoneOf(from)])
})

test('what has rubbed through is alone with its lead off, a short in a part with a terminal free', () => {
  const diagram = builtInUnit('fan-coil-cooling')
  const wayOf = (id: string) => everyWay(diagram).find(({ fault }) => fault.id === id)?.way
  const lead = wayOf('OS.Y-LPS.1:grounded')
  expect(lead).toMatchObject({ lifted: 'OS.Y-LPS.1', readings: [{ to: 'EARTH' }, { to: 'EARTH' }] })
  expect(lead?.isAloneWith(new Set(['OS.Y-LPS.1']))).toBe(true)
  expect(lead?.isAloneWith(new Set(['TB.Y1-OS.Y']))).toBe(false)
  const coil = wayOf('CC1:coil-shorted')
  expect(coil?.isAloneWith(new Set(['HPS.2-CC1.A1']))).toBe(true)
  expect(coil?.isAloneWith(new Set(['CC1.A2-OS.C']))).toBe(true)
  expect(coil?.isAloneWith(new Set())).toBe(false)
})

test('a lead between the building and the last isolator is read as it lies', () => {
  const diagram = builtInUnit('rooftop-480')
  const ways = everyWay(diagram).map(({ fault }) => fault.id)
  expect(ways).not.toContain('BR.T1-DS.L1:grounded')
  expect(ways).not.toContain('SV.L1-BR.L1:grounded')
})
