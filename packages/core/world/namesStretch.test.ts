import { hypothesesOf, notDrawn } from '../diagnosis/hypothesis'
import { builtInUnit } from '../units/index'
import type { Effect } from '../parts/effect'
import { drawDifference, type Difference } from './difference'
import { namesStretch } from './namesStretch'
import { seeded } from './random'

const unit = builtInUnit('package-proving')
const suspects = hypothesesOf(unit)
const suspect = (id: string) => suspects.filter((one) => one.id === id)[0]
const difference = (of: string, ...effects: readonly Effect[]): Difference => ({
  words: '',
  of,
  effects,
  substitutes: new Map(),
  points: [],
})

test('whoever is sent to the same wire or part sees what nobody drew', () => {
  const inWire = difference('TS.Y1-TB.Y1', { does: 'open', branch: 'TS.Y1-TB.Y1' })
  expect(namesStretch(unit, inWire, suspect('TS.Y1-TB.Y1:open'))).toBe(true)
  expect(namesStretch(unit, inWire, suspect('TS.G-TB.G:open'))).toBe(false)
  expect(namesStretch(unit, inWire, suspect(notDrawn))).toBe(false)
})

test('so does whoever looks between the same two conductors, through connectors, metal being bonded', () => {
  const jumper = difference('PK2', { does: 'join', from: 'PK2.3A', to: 'CC2.A2', ohms: 0.05 })
  expect(namesStretch(unit, jumper, suspect('CC2:coil-shorted'))).toBe(true)
  expect(namesStretch(unit, jumper, suspect('PK2.3B-CC2.A1:grounded'))).toBe(true)
  expect(namesStretch(unit, jumper, suspect('CC1:coil-shorted'))).toBe(false)
})

test('a lead lies between where it comes from and where it has been put', () => {
  const moved = difference('TS.Y1-TB.Y1', { does: 'move', wire: 'TS.Y1-TB.Y1', end: 'TB.Y1', to: 'TB.C' })
  const shorted = suspects.filter((one) => one.faults.some(({ class: sort }) => sort === 'crossed'))
  const named = shorted.filter((one) => namesStretch(unit, moved, one)).map(({ id }) => id)
  expect(named.some((id) => id.includes('TS.Y1') && id.includes('.C'))).toBe(true)
})

test('a difference is named by none of most suspects: to name one is worth something', () => {
  const single = suspects.filter(({ faults }) => faults.length === 1)
  for (let seed = 1; seed <= 20; seed++) {
    const drawn = drawDifference(unit, seeded(seed))
    if (!drawn) continue
    const naming = single.filter((one) => namesStretch(unit, drawn, one))
    expect(naming.length).toBeLessThan(0.12 * single.length)
  }
})
