import { joinProblem } from '../diagram/joins'
import { faultsOf } from '../diagram/faults'
import { passesByGuard } from '../diagram/guards'
import { readLadder } from '../diagram/readLadder'
import { platePairs } from '../visit/plate'
import { proofSheets } from '../visit/proofSheet'
import { builtInUnitIds, builtInUnitText } from './index'
import { renamed, renamedText } from './renamedUnit'

describe.each(builtInUnitIds)('%s with every part under another name', (id) => {
  const text = builtInUnitText(id)
  const plain = readLadder(text)
  const other = readLadder(renamedText(text, plain))
  const points = [...plain.points.keys()]
  /** Neighbours in the list and points far apart. */
  const pairs = points.flatMap((from, k) =>
    [1, 7, 40].map((step) => [from, points[(k + step) % points.length]]),
  )

  test('has the same faults, with the same weights and classes', () => {
    const told = (diagram: typeof plain) =>
      faultsOf(diagram)
        .map(
          ({ class: sort, prior, effects }) => `${sort} ${prior} ${effects.map(({ does }) => does).join()}`,
        )
        .sort()
    expect(told(other)).toEqual(told(plain))
  })

  test('refuses the same joins and guards the same controls', () => {
    for (const [from, to] of pairs) {
      const [a, b] = [renamed(from), renamed(to)]
      expect(joinProblem(other, a, b)?.because).toBe(joinProblem(plain, from, to)?.because)
      expect(passesByGuard(other, a, b)).toBe(passesByGuard(plain, from, to))
    }
  })

  test('is proven by the same lines, and signed at its plate by the same pairs', () => {
    const lines = (diagram: typeof plain) =>
      proofSheets(diagram, {}).map(({ lines: all }) =>
        all.map(({ unit, expected }) => [unit, expected?.toFixed(6)]),
      )
    expect(lines(other)).toEqual(lines(plain))
    expect(platePairs(other).map(({ expected }) => expected)).toEqual(
      platePairs(plain).map(({ expected }) => expected),
    )
  })
})
