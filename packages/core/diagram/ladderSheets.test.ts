import { builtInUnit, builtInUnitIds } from '../units/index'
import { ladderSheets, rowsOf, type SheetSize } from './ladderSheets'

const sizes: readonly SheetSize[] = [
  { abreast: 6, height: 900 },
  { abreast: 3, height: 400 },
  { abreast: 2, height: 200 },
]

describe.each(builtInUnitIds)('%s, drawn on sheets', (id) => {
  const diagram = builtInUnit(id)

  test.each(sizes)(
    'with $abreast abreast and $height high nothing is lost, doubled or off the sheet',
    (size) => {
      const sheets = ladderSheets(diagram, size)
      const wires = sheets.flatMap(({ stretches }) => stretches.filter(({ by }) => by.is === 'wire'))
      expect(wires.length).toBe(diagram.wires.size)
      for (const { points, width, height } of sheets) {
        expect(points.length).toBeGreaterThan(0)
        // what follows a section, and is drawn on nowhere, may reach below
        expect(Math.max(...points.map(({ at }) => at[1]))).toBeLessThan(Math.min(size.height, height))
        expect(Math.max(...points.map(({ at }) => at[0]))).toBeLessThan(width)
        const places = points.map(({ at }) => at.join())
        expect(new Set(places).size).toBe(places.length)
      }
    },
  )

  test('a line that turns goes on at the same point, in the order of its rows', () => {
    const turns = ladderSheets(diagram, { abreast: 3, height: 400 }).flatMap((sheet) => sheet.turns)
    expect(turns.length).toBeGreaterThan(0)
    expect(turns.length % 2).toBe(0)
    turns.forEach(({ goes, point }, k) => {
      expect(goes).toBe(k % 2 === 0 ? 'on below' : 'from above')
      expect(point.point).toBe(turns[k - (k % 2)].point.point)
    })
  })

  test('a rung that a sheet has room for is on one', () => {
    const size = { abreast: 6, height: 900 }
    const names = ladderSheets(diagram, size).flatMap(({ rungs }) => rungs.map(({ words }) => words))
    const fits = ({ chains }: (typeof diagram.rungs)[number]): boolean =>
      chains.flatMap((chain) => rowsOf(chain, size.abreast)).length <= 12
    for (const rung of diagram.rungs.filter(fits))
      expect(names.filter((words) => words.startsWith(rung.words)).length).toBe(
        diagram.rungs.filter(({ words }) => words.startsWith(rung.words)).length,
      )
  })
})
