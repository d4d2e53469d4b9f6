import { builtInUnit } from '../units/index'
import type { EntryBody } from '../visit/entry'
import { volts } from '../visit/testReadings'
import { diagnose, judge, modelOf } from './diagnose'

const seen = (of: string, what: string): EntryBody => ({ kind: 'observation', of, what })

describe('a contact that was open and is closed again by itself', () => {
  const diagram = builtInUnit('fan-coil-cooling')
  const cameBack: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    volts('TB.R', 0),
    volts('TB.R', 26),
  ]

  const numberOf = (id: string): number => modelOf(diagram).hypotheses.findIndex((each) => each.id === id)

  test.each(['SW:pole1-open', 'BR.T1-SW.L1:open'])('%s is there while it is read, and then away', (id) => {
    const isAway = (entries: readonly EntryBody[]): boolean =>
      judge(diagram, { complaint: 'comes-and-goes', entries }).belief.away[numberOf(id)]
    expect(isAway(cameBack.slice(0, 2))).toBe(false)
    expect(isAway(cameBack)).toBe(true)
  })

  test('is expected to read as in a healthy unit in what is asked for next', () => {
    const { steps } = diagnose(diagram, { complaint: 'comes-and-goes', entries: cameBack })
    const gone = numberOf('SW:pole1-open')
    const live = steps.filter((step) => step.do === 'measure' && step.power === 'on' && step.call === 'cool1')
    expect(live.length).toBeGreaterThan(0)
    for (const step of live) {
      const withHealthy = step.outcomes.find(({ hypotheses }) => hypotheses.includes(gone))
      if (step.do === 'measure' && step.meter === 'volts' && withHealthy)
        expect(withHealthy.value).toBeCloseTo(step.healthy ?? NaN, 0)
    }
  })
})

test('a unit that runs while a fan stands is asked about the fan, not about what let it run', () => {
  const diagram = builtInUnit('rooftop-480')
  const entries: readonly EntryBody[] = [
    { kind: 'condition', of: 'outdoorDryBulb', value: 88 },
    { kind: 'call', call: 'cool2' },
    // the high-pressure switch had opened, and has closed again
    volts('HPS1.1', 27, 'HPS1.2'),
    volts('CC1.13', 0, 'CC1.14'),
    seen('CFC', 'pulled-in'),
    seen('C1', 'turning'),
    seen('FM2', 'turning'),
    seen('FM1', 'still'),
    seen('CFC', 'pulled-in'),
    seen('C2', 'turning'),
  ]
  const { model, belief, next, ranked } = diagnose(diagram, { complaint: '', entries }, { count: 1 })
  expect(ranked.slice(0, 3).flatMap((h) => model.hypotheses[h].of)).toEqual(
    expect.arrayContaining(['FM1', 'CAP1']),
  )
  const [step] = next
  const ofFan = step.do === 'measure' ? [step.from, step.to] : []
  expect(ofFan.some((point) => /^(FM1|CAP1)\./.test(point))).toBe(true)
  expect(belief.probability[0]).toBeLessThan(0.01)
})

test('a story told entry by entry is the story told at once', () => {
  const entries: readonly EntryBody[] = [
    { kind: 'call', call: 'cool1' },
    volts('TB.R', 26),
    seen('CC1', 'dropped-out'),
    volts('CC1.A1', 0, 'CC1.A2'),
    volts('TB.Y1', 26),
    seen('IFM', 'turning'),
    volts('FLT.1', 0, 'FLT.2'),
  ]
  const about = (unit: ReturnType<typeof builtInUnit>, upTo: number) =>
    judge(unit, { complaint: 'not-cooling', entries: entries.slice(0, upTo) })
  const diagram = builtInUnit('fan-coil-cooling')
  for (let upTo = 1; upTo < entries.length; upTo++) about(diagram, upTo)
  const byAndBy = about(diagram, entries.length).belief.probability
  modelOf(diagram).forgetPairs()
  const atOnce = about(diagram, entries.length).belief.probability
  const singles = modelOf(diagram).everySingle
  for (const h of singles) expect(byAndBy[h]).toBeCloseTo(atOnce[h], 12)
})

test('what came back when a part was moved may be a lead that lands on it', () => {
  const diagram = builtInUnit('fan-coil-cooling')
  const odds = (...entries: readonly EntryBody[]): number => {
    const { model, belief } = judge(diagram, {
      complaint: 'comes-and-goes',
      entries: [{ kind: 'call', call: 'cool1' }, volts('TB.R', 0), ...entries],
    })
    const share = (id: string): number =>
      belief.probability[model.hypotheses.findIndex((each) => each.id === id)]
    return share('BR.T1-SW.L1:open') / share('SV.L1-BR.L1:open')
  }
  const moved: EntryBody = { kind: 'action', do: 'wiggle', of: 'SW' }
  expect(odds(moved, volts('TB.R', 26))).toBeGreaterThan(3 * odds(volts('TB.R', 26)))
})
