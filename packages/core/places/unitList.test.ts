import fc from 'fast-check'
import { listedUnits, mappingOf } from './unitList'

const circuits = [
  { id: 'rooftop-480', title: 'Rooftop unit, 480 V' },
  { id: 'own', title: 'Our fan coil' },
]
const heads = ['Property', 'Unit', 'Type', 'Serial no.', 'Installed', 'Notes']
const mapping = mappingOf(heads)
const read = (...rows: readonly (readonly string[])[]) => listedUnits(rows, mapping, circuits, '', 2027)

test('columns are known by what people call them; what nobody has is none', () => {
  expect(mapping).toMatchObject({
    site: 0,
    label: 1,
    circuit: 2,
    serial: 3,
    installed: 4,
    address: -1,
    place: -1,
  })
})

test('a circuit is named by its title or identity, whatever the case; a year is its first day', () => {
  expect(
    read(['Hall', 'RTU-1', 'ROOFTOP UNIT, 480 v', 'S1', '2014'], ['Hall', 'FC-1', 'own', '', '']),
  ).toMatchObject([
    { row: 2, diagram: 'rooftop-480', problems: [], values: { installed: '2014-01-01', serial: 'S1' } },
    { row: 3, diagram: 'own', problems: [] },
  ])
})

test('each row says all that is wrong with it', () => {
  const rows = read(
    ['', '', 'own'],
    ['Hall', 'RTU-1', 'steam engine'],
    ['Hall', 'RTU-2', '', '', 'May'],
    ['Hall', 'rtu-2', 'own'],
    ['Hall', 'x'.repeat(201), 'own'],
  )
  expect(rows.map(({ problems }) => problems.length)).toEqual([2, 1, 2, 1, 1])
  expect(rows[3].problems[0]).toMatch(/row 4/)
})

test('whatever a list holds, every row comes out, with problems or with all that a unit needs', () => {
  fc.assert(
    fc.property(fc.array(fc.array(fc.string(), { maxLength: 8 }), { maxLength: 20 }), (rows) => {
      const listed = listedUnits(rows, mapping, circuits, 'own', 2027)
      expect(listed).toHaveLength(rows.length)
      for (const { problems, values, diagram } of listed)
        if (problems.length === 0) expect(values.site && values.label && diagram).toBeTruthy()
    }),
  )
})
