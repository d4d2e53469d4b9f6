import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { brief } from './briefing'
import { judge } from './diagnose'
import { insulationBlunder, insulationDensity, leaksApart } from './insulation'
import { sideFindings } from './sideFindings'
import { doubtAbout } from './typedDoubt'

const unit = builtInUnit('rooftop-two-stage')
/** Microfarads on the capacitor. */
const label = unit.parts.get('CAP1')?.settings.number('microfarads') ?? 0
const isolated: EntryBody = { kind: 'power', is: 'isolated' }
const tested = (from: string, value: number | null): EntryBody => ({
  kind: 'reading',
  meter: 'megohms',
  from,
  to: 'EARTH',
  value,
})
const judged = (...entries: readonly EntryBody[]) =>
  judge(unit, { complaint: 'breaker-trips', entries: [isolated, ...entries] })
const shareOf = ({ model, belief }: ReturnType<typeof judged>, id: string): number =>
  belief.probability[model.hypotheses.findIndex((hypothesis) => hypothesis.id === id)]

test('of what a tester may show, all probability is spread and no more', () => {
  const step = 0.01
  for (const density of [
    (value: number | null) => insulationDensity(value, null),
    (value: number | null) => insulationDensity(value, 333),
    (value: number | null) => insulationDensity(value, 0.5),
    insulationBlunder,
  ]) {
    let whole = density(null)
    // the density is one of the logarithm, above a floor
    for (let log = Math.log(0.005); log < Math.log(10_000); log += step)
      whole += step * density(Math.exp(log) - 0.005)
    expect(whole).toBeGreaterThan(0.9)
    expect(whole).toBeLessThan(1.03)
  }
})

test('what is sound is all alike, and far from what is shorted', () => {
  expect(leaksApart(null, 333)).toBe(0)
  expect(leaksApart(0, 333)).toBeGreaterThan(3)
  expect(leaksApart(0, null)).toBe(leaksApart(null, 0))
})

test('after a trip a compressor of hundreds of megohms is not the grounded one, and one near nothing is', () => {
  const grounded = 'C1:T1-grounded'
  const before = shareOf(judged(), grounded)
  expect(shareOf(judged(tested('C1.T1', 550)), grounded)).toBeLessThan(before / 5)
  expect(shareOf(judged(tested('C1.T1', null)), grounded)).toBeLessThan(before / 5)
  expect(shareOf(judged(tested('C1.T1', 0)), grounded)).toBeGreaterThan(3 * before)
})

test.each([0.4, 12, 900, 45_000, 250_000])(
  'after a trip a winding that an ohmmeter finds at %s Ω to ground is grounded',
  (value) => {
    const ohms: EntryBody = { kind: 'reading', meter: 'ohms', from: 'C1.T1', to: 'EARTH', value }
    const tripped: EntryBody = { kind: 'observation', of: 'BR', what: 'tripped' }
    const diagnosis = judged(tripped, ohms)
    const windings = ['T1', 'T2', 'T3'].map((terminal) => shareOf(diagnosis, `C1:${terminal}-grounded`))
    expect(windings.reduce((sum, share) => sum + share, 0)).toBeGreaterThan(0.6)
    expect(doubtAbout(judged(tripped), 'ohms', 'C1.T1', 'EARTH', value)).toBe('')
  },
)

test('a chafed control wire of kilohms blows no fuse: it is not called for one', () => {
  const blown: EntryBody = { kind: 'observation', of: 'FU', what: 'blown' }
  const toGround = (value: number): EntryBody => ({
    kind: 'reading',
    meter: 'ohms',
    from: 'TB.Y1',
    to: 'EARTH',
    value,
  })
  const chafed = (value: number): number => {
    const { model, belief } = judged(blown, toGround(value))
    return model.hypotheses.reduce(
      (sum, { id }, h) => (/Y1.*:grounded$|EC\.Y1I.*:grounded$/.test(id) ? sum + belief.probability[h] : sum),
      0,
    )
  }
  expect(chafed(0.6)).toBeGreaterThan(10 * chafed(20_000))
})

test('insulation under the rule is said beside the cause, in the digits that were read; sound insulation is not', () => {
  const said = (value: number | null) =>
    sideFindings(judged(tested('C1.T1', value))).find(({ id }) => id === 'insulation')?.words ?? ''
  expect(said(0.8)).toMatch(/0\.80 MΩ, wet, dirty or failing\. Not to be energised/)
  expect(said(3)).toMatch(/3\.00 MΩ, under 5 MΩ/)
  expect(said(90)).toBe('')
  expect(said(null)).toBe('')
})

test('no value of sound insulation is doubted, one of a capacitor that lost half is not either', () => {
  const diagnosis = judged()
  for (const value of [2, 40, 900, 9000, null])
    expect(doubtAbout(diagnosis, 'megohms', 'C1.T1', 'EARTH', value)).toBe('')
  for (const value of [label, label * 0.97, label / 2, 0])
    expect(doubtAbout(diagnosis, 'microfarads', 'CAP1.1', 'CAP1.2', value)).toBe('')
})

test('a capacitor that reads a third low has lost its value; one at its label has not', () => {
  const read = (value: number): EntryBody => ({
    kind: 'reading',
    meter: 'microfarads',
    from: 'CAP1.1',
    to: 'CAP1.2',
    value,
  })
  const given = (...entries: readonly EntryBody[]) =>
    shareOf(judge(unit, { complaint: 'not-cooling', entries: [isolated, ...entries] }), 'CAP1:plates-open')
  const before = given()
  expect(given(read(label * 0.66))).toBeGreaterThan(10 * before)
  expect(given(read(label * 1.02))).toBeLessThan(before / 10)
})

test('values that no circuit predicts, and some suspect explains, are not called unexplained', () => {
  const warningOf = (...entries: readonly EntryBody[]): string =>
    brief(unit, { complaint: 'not-cooling', entries: [isolated, ...entries] }).warning
  const lost = { kind: 'reading', meter: 'microfarads', from: 'CAP1.1', to: 'CAP1.2', value: 3.1 } as const
  expect(warningOf(lost)).toBe('')
  for (const value of [0.3, 2, 40]) expect(warningOf(tested('C1.T1', value))).toBe('')
})

test('a tester, an ohmmeter and a capacity are for what is isolated, and are refused on a live unit', () => {
  for (const meter of ['megohms', 'microfarads', 'ohms'] as const)
    expect(() =>
      judge(unit, {
        complaint: 'not-cooling',
        entries: [{ kind: 'reading', meter, from: 'CAP1.1', to: 'CAP1.2', value: 5 }],
      }),
    ).toThrow(/isolate the unit/)
})
