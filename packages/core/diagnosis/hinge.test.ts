import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { askOf } from './asks'
import { diagnose } from './diagnose'
import { volts } from '../visit/testReadings'

const unit = builtInUnit('fan-coil-cooling')
/** The blower is called and the compressor is not: it is the thermostat, or its lead. */
const soFar: readonly EntryBody[] = [
  { kind: 'condition', of: 'outdoorDryBulb', value: 80 },
  { kind: 'call', call: 'cool1' },
  volts('TB.R', 26),
  { kind: 'observation', what: 'pulled-in', of: 'GR' },
]
const found = (...entries: readonly EntryBody[]) =>
  diagnose(unit, { complaint: 'not-cooling', entries: [...soFar, ...entries] })
const askedAgain = ({ next }: ReturnType<typeof found>) =>
  next.filter((step) => step.do === 'measure' && step.again === 'decides')
const dead = volts('TB.Y1', 0)

test('a reading of nothing that a verdict hangs on is asked for once more, in words', () => {
  const once = found(dead)
  const [again] = askedAgain(once)
  expect(again).toMatchObject({ do: 'measure', from: 'TB.Y1', to: 'TB.C' })
  expect(askOf(once, again).reason).toMatch(/^Once more, leads pressed on clean metal/)
  // nothing goes before it but what would bear it out as well
  const before = once.next.slice(0, once.next.indexOf(again))
  for (const step of before) expect(step).toMatchObject({ do: 'measure', from: 'TS.R', to: 'TS.Y1' })
})

test('what bears it out goes before: then nothing hangs on it any more', () => {
  expect(
    askedAgain(found(dead, { kind: 'reading', meter: 'volts', from: 'TS.R', to: 'TS.Y1', value: 26 })),
  ).toEqual([])
})

test('it is not asked for a third time, nor one that is not zero, nor while there is no verdict', () => {
  expect(askedAgain(found(dead, dead))).toEqual([])
  expect(askedAgain(found(volts('TB.Y1', 25.5)))).toEqual([])
  expect(askedAgain(found())).toEqual([])
})

test('the same once more makes the verdict firm, another value takes it back', () => {
  const share = (of: string, entries: readonly EntryBody[]): number => {
    const { model, belief } = found(...entries)
    return model.hypotheses.reduce(
      (sum, hypothesis, h) =>
        hypothesis.of.some((each) => each.startsWith(of)) ? sum + belief.probability[h] : sum,
      0,
    )
  }
  const once = share('TS', [dead])
  expect(share('TS', [dead, dead])).toBeGreaterThan(once)
  expect(share('TS', [dead, volts('TB.Y1', 25.5)])).toBeLessThan(once / 2)
})

test('no ohms across a coil are read once more too before it is condemned, and its own ohms are not', () => {
  const across = (value: number): EntryBody => ({
    kind: 'reading',
    meter: 'ohms',
    from: 'CC1.A1',
    to: 'CC1.A2',
    value,
  })
  const isolated = (...entries: readonly EntryBody[]) =>
    diagnose(unit, {
      complaint: 'breaker-goes',
      entries: [
        { kind: 'observation', what: 'blown', of: 'FU' },
        { kind: 'power', is: 'isolated' },
        ...entries,
      ],
    })
  const { model, ranked, steps } = isolated(across(0))
  expect(model.hypotheses[ranked[0]].id).toBe('CC1:coil-shorted')
  expect(steps).toContainEqual(
    expect.objectContaining({ from: 'CC1.A1', to: 'CC1.A2', meter: 'ohms', again: 'decides' }),
  )
  expect(askedAgain(isolated(across(0), across(0)))).toEqual([])
  expect(askedAgain(isolated(across(13)))).toEqual([])
})
