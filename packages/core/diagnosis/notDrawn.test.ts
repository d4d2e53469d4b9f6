import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { brief } from './briefing'
import { judge } from './diagnose'
import { notDrawn, nothingWrong } from './hypothesis'

const idle: EntryBody = { kind: 'call', call: 'off' }
const cooling: EntryBody = { kind: 'call', call: 'cool1' }
const ohms = (value: number | null): EntryBody => ({
  kind: 'reading',
  meter: 'ohms',
  from: 'TB.Y1',
  to: 'TB.C',
  value,
})
const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })

function found(...entries: readonly EntryBody[]) {
  const { model, belief } = judge(builtInUnit('fan-coil-cooling'), { complaint: '', entries })
  const number = (id: string): number => model.hypotheses.findIndex((hypothesis) => hypothesis.id === id)
  return {
    share: (id: string) => belief.probability[number(id)],
    /** Log-likelihood of the last piece of evidence. */
    says: (id: string) => belief.weight[belief.weight.length - 1][number(id)],
  }
}

describe('something not as drawn', () => {
  test('may show a relay otherwise than a healthy unit, and shows it as drawn more often', () => {
    const otherwise = found(cooling, seen('CC1', 'dropped-out'))
    expect(otherwise.says(notDrawn)).toBeGreaterThan(otherwise.says(nothingWrong) + 1)
    expect(found(cooling, seen('CC1', 'pulled-in')).says(notDrawn)).toBeGreaterThan(
      otherwise.says(notDrawn) + 1,
    )
  })

  test('brings the hot side where nothing is drawn sooner than any other volts', () => {
    const at = (value: number): number => found(idle, volts('TB.Y1', value)).says(notDrawn)
    expect(at(26)).toBeGreaterThan(at(12) + 2)
  })

  test('opens a circuit, or joins what no healthy unit joins, sooner than it gives any other ohms', () => {
    const at = (value: number | null): number =>
      found({ kind: 'power', is: 'isolated' }, ohms(value)).says(notDrawn)
    expect(at(0.4)).toBeGreaterThan(at(200) + 1)
    expect(at(null)).toBeGreaterThan(at(200) + 1)
  })

  test('is fed by the same supply as the rest: what reads as drawn tells of it', () => {
    const low = found(cooling, volts('TB.R', 24.1)).says(notDrawn)
    expect(found(cooling, volts('TB.R', 24.1), volts('TB.Y1', 24.1)).says(notDrawn)).toBeGreaterThan(low)
  })

  test('takes the place of no ordinary fault that explains what was found', () => {
    const contactor = found(cooling, volts('TB.Y1', 26), seen('CC1', 'dropped-out'), {
      kind: 'reading',
      meter: 'volts',
      from: 'CC1.A1',
      to: 'CC1.A2',
      value: 26,
    })
    expect(contactor.share('CC1:coil-open')).toBeGreaterThan(10 * contactor.share(notDrawn))
  })
})

describe('a jumper that acts as two conductors would that touch', () => {
  const [one, other] = ['EC.Y1O-PL.2B', 'PL.6B-EC.R']
  const without = (value: number | null): readonly EntryBody[] => [
    { kind: 'action', do: 'lift', of: one },
    { kind: 'reading', meter: 'ohms', from: 'PL.2B', to: 'PL.6B', value },
    { kind: 'action', do: 'land', of: one },
  ]
  const runsOn: readonly EntryBody[] = [
    seen('IFC', 'dropped-out'),
    seen('CC1', 'pulled-in'),
    volts('CC1.14', 24),
    volts('PL.2B', 25),
    { kind: 'power', is: 'isolated' },
    { kind: 'reading', meter: 'ohms', from: 'CC1.13', to: 'CC1.14', value: 28 },
    { kind: 'reading', meter: 'ohms', from: 'PM.COM', to: 'PM.NO', value: 10.6 },
  ]
  const unit = builtInUnit('rooftop-480')
  const after = (...entries: readonly EntryBody[]) => ({
    complaint: 'will-not-stop',
    entries: [...runsOn, ...entries],
  })

  test('is those two until one of them is off, and then something at their place that nobody drew', () => {
    const leads = (...entries: readonly EntryBody[]): string => {
      const { model, ranked } = judge(unit, after(...entries))
      return model.hypotheses[ranked[0]].id
    }
    const touching = `${one}:crossed:${other}`
    expect(leads(...without(null))).toBe(touching)
    expect(leads(...without(1), ...without(1))).toBe(`${touching} + ${notDrawn}`)
  })

  test('is said so, with the stretch to compare', () => {
    const [suspect] = brief(unit, after(...without(1), ...without(1))).suspects
    expect(suspect.words).toMatch(/^Something is not as drawn that does what this would: Wires .+ touch/)
    expect(suspect.words).toMatch(/Compare \S+ to \S+ with the drawing$/)
  })
})
