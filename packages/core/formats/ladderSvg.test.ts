import { builtInUnit, builtInUnitIds } from '../units/index'
import { ladderSvg } from './ladderSvg'

/** Elements of a drawing, each open and shut, in order; throws where one is left open. */
function elementsOf(svg: string): readonly string[] {
  const open: string[] = []
  const all: string[] = []
  for (const [, slash, name, , empty] of svg.matchAll(/<(\/?)([a-z]+)((?:"[^"]*"|[^>"])*?)(\/?)>/g)) {
    if (slash) {
      if (open.pop() !== name) throw new Error(`</${name}> shuts nothing`)
    } else {
      all.push(name)
      if (!empty) open.push(name)
    }
  }
  if (open.length > 0) throw new Error(`left open: ${open.join(', ')}`)
  return all
}

test.each(builtInUnitIds)('%s: a whole drawing, with every wire’s colour and number and every part', (id) => {
  const diagram = builtInUnit(id)
  const svg = ladderSvg(diagram)
  const elements = elementsOf(svg)
  expect(elements[0]).toBe('svg')
  expect(elements.filter((name) => name === 'circle').length).toBeGreaterThan(diagram.points.size / 3)
  for (const { color, number } of diagram.wires.values()) expect(svg).toContain(`>${color} ${number}<`)
  expect(svg).not.toMatch(/NaN|undefined/)
})

test('words from outside stay words', () => {
  const diagram = { ...builtInUnit('fan-coil-two-pipe'), title: '<script>"&' }
  expect(ladderSvg(diagram)).toContain('&lt;script&gt;&quot;&amp;')
  expect(() => elementsOf(ladderSvg(diagram))).not.toThrow()
})
