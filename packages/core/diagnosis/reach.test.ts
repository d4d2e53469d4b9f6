import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { gather } from '../visit/evidence'
import { diagnose } from './diagnose'
import { reachAfter } from './reach'
import { rate } from './steps'
import { volts } from '../visit/testReadings'

const diagram = builtInUnit('split-heat-pump')
const reach = (...entries: readonly EntryBody[]) =>
  reachAfter(diagram, gather(diagram, { complaint: '', entries }))
const part = (id: string) => {
  const found = diagram.parts.get(id)
  if (!found) throw new Error(`no ${id}`)
  return found
}
const outdoors = { from: 'CC1.A1', to: 'OT.C' }
const inTheCloset = { from: 'TB.Y1', to: 'TB.C' }
const whole = (zone: string): number => diagram.zones.get(zone)?.reachSeconds ?? NaN

test('at first a place takes what the ladder says, and nothing once something was read there', () => {
  expect(reach().toRead(inTheCloset)).toBe(0)
  expect(reach().toRead(outdoors)).toBe(whole('outdoor'))
  expect(reach(volts('CC1.A1', 25, 'OT.C')).toRead(outdoors)).toBe(0)
})

test('from the roof it is as far back as it was to get there, but nothing has to be opened again', () => {
  const fromThere = reach(volts('CC1.A1', 25, 'OT.C'))
  expect(fromThere.toRead(inTheCloset)).toBeGreaterThan(100)
  expect(fromThere.toRead(inTheCloset)).toBeLessThan(whole('outdoor'))
})

test('what is as far is near: from the outdoor section the disconnect beside it takes opening alone', () => {
  expect(reach(volts('CC1.A1', 25, 'OT.C')).toRead({ from: 'DSO.L1', to: 'DSO.L2' })).toBeLessThan(60)
})

test('whether a motor runs is seen without opening; a contactor that was seen is open to the meter', () => {
  const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })
  expect(reach().toLook(part('FM'))).toBeLessThan(reach().toLook(part('CC1')))
  expect(reach(seen('FM', 'turning')).toRead(outdoors)).toBeGreaterThan(0)
  expect(reach(seen('OC', 'clean')).toRead(outdoors)).toBe(reach(seen('FM', 'turning')).toRead(outdoors))
  expect(reach(seen('CC1', 'pulled-in')).toRead(outdoors)).toBe(0)
})

test('who has lifted a lead stands where it hangs, and not at the board any more', () => {
  const lifted = reach({ kind: 'power', is: 'isolated' }, { kind: 'action', do: 'lift', of: 'CC1.A1' })
  expect(lifted.toRead(outdoors)).toBe(0)
  expect(lifted.toRead(inTheCloset)).toBeGreaterThan(100)
})

test('the way is shared by what is read after it: far and telling goes before near and idle', () => {
  const entries = [
    { kind: 'observation', of: 'IFM', what: 'turning' },
    volts('FLT.2', 25.9),
    volts('TB.Y1', 25.9),
    volts('TB.O', 25.8),
    { kind: 'reading', meter: 'amps', from: 'XF.S1', to: 'FU.L1', value: 0.6 },
    { kind: 'reading', meter: 'millivolts', from: 'XF.S1', to: 'FLT.2', value: 114 },
  ] as const
  const { steps, findings } = diagnose(diagram, { complaint: 'not-cooling', entries }, { sorts: ['measure'] })
  const [first] = steps.filter(({ call }) => call === findings.now.call)
  const best = first.do === 'measure' ? first : null
  expect(diagram.points.get(best?.from ?? '')?.zone).toBe('outdoor')
  expect(first.reach).toBeGreaterThan(150)
  expect(rate(first)).toBeGreaterThan(first.bits / first.cost)
})
