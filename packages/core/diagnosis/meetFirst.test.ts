import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { askOf, deedWords } from './asks'
import { diagnose } from './diagnose'

const unit = builtInUnit('fan-coil-cooling')
const found = (complaint: string, ...entries: readonly EntryBody[]) =>
  diagnose(unit, { complaint, entries }, { count: 12 })
const meeting = ({ next }: ReturnType<typeof found>) =>
  next.flatMap((step) => (step.do === 'measure' && step.meets ? [step] : []))
const shareOf = ({ model, belief }: ReturnType<typeof found>, id: string): number =>
  belief.probability[model.hypotheses.findIndex((one) => one.id === id)]

describe('a coil of no ohms, with its leads on', () => {
  const ohms = (value: number): EntryBody => ({
    kind: 'reading',
    meter: 'ohms',
    from: 'CC1.A1',
    to: 'CC1.A2',
    value,
  })
  const lifted = (value: number): readonly EntryBody[] => [
    { kind: 'action', do: 'lift', of: 'CC1.A1' },
    ohms(value),
    { kind: 'action', do: 'land', of: 'CC1.A1' },
  ]
  const blown: readonly EntryBody[] = [
    { kind: 'observation', what: 'blown', of: 'FU' },
    { kind: 'power', is: 'isolated' },
    ohms(0.1),
    ohms(0.1),
  ]
  const coil = 'CC1:coil-shorted'

  test('is read with its leads off before it is condemned, in words', () => {
    const diagnosis = found('not-cooling', ...blown)
    const [step] = meeting(diagnosis)
    // across it, or to metal: either tells it from what hangs on its leads
    expect(step).toMatchObject({ from: 'CC1.A1', deed: { verb: 'lift', of: 'CC1.A1' } })
    expect(['CC1.A2', 'EARTH']).toContain(step.to)
    const ask = askOf(diagnosis, step)
    expect(ask.reason).toMatch(/^On the suspect itself, before it is condemned/)
    expect(ask.deed?.words).toBe('Lift every lead of CC1.A1')
  })

  test('is condemned by none there, and not by its own ohms', () => {
    const condemned = found('not-cooling', ...blown, ...lifted(0.1))
    expect(meeting(condemned)).toEqual([])
    // its winding, or the end of it that is still on: the coil itself either way
    const itself = shareOf(condemned, coil) + shareOf(condemned, 'CC1:A1-grounded')
    expect(itself).toBeGreaterThan(0.98)
    expect(shareOf(condemned, coil)).toBeGreaterThan(0.8)
    expect(shareOf(found('not-cooling', ...blown, ...lifted(12)), coil)).toBeLessThan(0.2)
  })
})

describe('a relay that is fed and stands', () => {
  const call: EntryBody = { kind: 'call', call: 'fan' }
  const stands: EntryBody = { kind: 'observation', what: 'dropped-out', of: 'GR' }
  const fed: readonly EntryBody[] = [call, stands, volts('TB.G', 26), volts('TB.G', 26)]

  test('is met at its own terminals, and once only', () => {
    const before = found('no-air', ...fed)
    const after = found('no-air', ...fed, {
      kind: 'reading',
      meter: 'volts',
      from: 'GR.A1',
      to: 'GR.A2',
      value: 26,
    })
    for (const step of meeting(before)) expect([step.from, step.to].join()).toMatch(/GR\.A[12]/)
    expect(meeting(after)).toEqual([])
  })
})

describe('a relay that was seen pulled in, with line volts over its contact', () => {
  const over: EntryBody = { kind: 'reading', meter: 'volts', from: 'GR.COM1', to: 'GR.NO1', value: 208 }
  const call: EntryBody = { kind: 'call', call: 'fan' }
  const still: EntryBody = { kind: 'observation', what: 'still', of: 'IFM' }
  const seen = (what: string): EntryBody => ({ kind: 'observation', what, of: 'GR' })
  const contact = 'GR:made1-open'

  test('is not asked for the volts of its coil before its contact is condemned', () => {
    const after = found('no-air', call, still, seen('pulled-in'), over, over)
    expect(shareOf(after, contact)).toBeGreaterThan(0.9)
    expect(meeting(after)).toEqual([])
  })

  test('and is where nobody looked at it, if its contact leads all the same', () => {
    const after = found('no-air', call, still, volts('TB.G', 26), volts('TB.G', 26), over, over)
    for (const step of meeting(after)) expect([step.from, step.to].join()).toMatch(/GR\./)
  })
})

test('nothing is put first while nothing stands out, and of what nobody can touch', () => {
  expect(meeting(found('no-air'))).toEqual([])
  expect(meeting(found('no-air', { kind: 'call', call: 'fan' }, volts('TB.R', 26)))).toEqual([])
})

describe('a thermostat that seems never to let go', () => {
  const stays: readonly EntryBody[] = [
    { kind: 'call', call: 'off' },
    { kind: 'observation', what: 'pulled-in', of: 'GR' },
    volts('TB.G', 25),
    { kind: 'power', is: 'isolated' },
  ]
  const alone = (value: number | null): readonly EntryBody[] => [
    { kind: 'action', do: 'lift', of: 'TS.R' },
    { kind: 'reading', meter: 'ohms', from: 'TS.R', to: 'TS.G', value },
    { kind: 'action', do: 'land', of: 'TS.R' },
  ]
  const after = (...entries: readonly EntryBody[]) => found('will-not-stop', ...stays, ...entries)
  const [stuck, touching] = ['TS:relayG-stuck', 'TB.R-TS.R:crossed:TS.G-TB.G']

  test('is told from conductors of its cable that touch, by its own ohms with its leads off', () => {
    const held = after(...alone(0.1))
    const open = after(...alone(null))
    expect(shareOf(held, stuck)).toBeGreaterThan(10 * shareOf(held, touching))
    expect(shareOf(open, touching)).toBeGreaterThan(3 * shareOf(open, stuck))
  })
})

describe('a lead that has rubbed through', () => {
  const toMetal = (value: number | null): EntryBody => ({
    kind: 'reading',
    meter: 'ohms',
    from: 'TB.Y1',
    to: 'EARTH',
    value,
  })
  const without = (of: string, value: number | null): readonly EntryBody[] => [
    { kind: 'action', do: 'lift', of },
    toMetal(value),
    { kind: 'action', do: 'land', of },
  ]
  const chafed: readonly EntryBody[] = [
    { kind: 'observation', what: 'blown', of: 'FU' },
    { kind: 'power', is: 'isolated' },
    ...without('TS.Y1-TB.Y1', 0.3),
    ...without('OS.Y-LPS.1', 0.4),
    ...without('OS.C-TB.C', 0.4),
  ]
  const lead = 'TB.Y1-OS.Y'
  const id = `${lead}:grounded`

  test('is taken off before it is condemned, and what is shorted without it is another thing', () => {
    const before = found('not-cooling', ...chafed)
    expect(before.model.hypotheses[before.ranked[0]].id).toBe(id)
    expect(meeting(before)).toContainEqual(
      expect.objectContaining({ from: 'TB.Y1', to: 'EARTH', deed: { verb: 'lift', of: lead, to: '' } }),
    )
    const gone = found('not-cooling', ...chafed, ...without(lead, null))
    expect(meeting(gone)).toEqual([])
    expect(shareOf(gone, id)).toBeGreaterThan(0.9)
    const stays = found('not-cooling', ...chafed, ...without(lead, 0.4), ...without(lead, 0.3))
    expect(shareOf(stays, id)).toBeLessThan(0.1)
  })

  test('is read where it came off, once it is off, in words', () => {
    const off = found('not-cooling', ...chafed, { kind: 'action', do: 'lift', of: lead })
    const [first] = off.next
    expect(first).toMatchObject({ do: 'measure', from: 'TB.Y1', to: 'EARTH', deed: null, meets: true })
    expect(askOf(off, first).reason).toMatch(/^With this lead off, before it is condemned/)
  })

  test('comes off at the board where it leads to another place, and else at both ends', () => {
    const words = (of: string): string => deedWords(unit, { verb: 'lift', of, to: '' }).words
    expect(words(lead)).toBe(`Lift the lead ${lead}`)
    expect(words('OS.Y-LPS.1')).toBe('Lift the lead OS.Y-LPS.1 at both ends')
  })
})
