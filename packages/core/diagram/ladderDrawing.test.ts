import { builtInUnit, builtInUnitIds } from '../units/index'
import { ladderDrawing } from './ladderDrawing'

describe.each(builtInUnitIds)('%s, drawn whole', (id) => {
  const diagram = builtInUnit(id)
  const drawing = ladderDrawing(diagram)

  test('every wire is drawn, and every point lies within the rails', () => {
    const drawn = drawing.stretches.filter(({ by }) => by.is === 'wire')
    expect(drawn.length).toBe(diagram.wires.size)
    for (const { at } of drawing.points) {
      expect(at[0]).toBeGreaterThan(drawing.left)
      expect(at[0]).toBeLessThan(drawing.right)
      expect(at[1]).toBeLessThan(drawing.height)
    }
  })

  test('no two points lie on each other, and each line runs from left to right', () => {
    const places = drawing.points.map(({ at }) => at.join())
    expect(new Set(places).size).toBe(places.length)
    for (const { from, to } of drawing.stretches) {
      expect(to.at[0]).toBeGreaterThan(from.at[0])
      expect(to.at[1]).toBe(from.at[1])
    }
  })

  test('line voltage stands above control, and something reaches either rail', () => {
    const [line, control] = drawing.sections
    expect([line.wiring, control.wiring]).toEqual(['line', 'control'])
    expect(line.to).toBeLessThan(control.from)
    expect(new Set(drawing.rails.map(({ side }) => side))).toEqual(new Set(['left', 'right']))
  })
})
