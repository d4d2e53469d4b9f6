import fc from 'fast-check'
import { SingularMatrixError, SparseLu, type SparseMatrix } from './sparseLu'

const entry = (size: number) =>
  fc.record({
    row: fc.nat(size - 1),
    column: fc.nat(size - 1),
    re: fc.double({ min: -5, max: 5, noNaN: true }),
    im: fc.double({ min: -5, max: 5, noNaN: true }),
  })

/** A random sparse matrix with a diagonal that keeps it far from singular. */
const matrices = fc.integer({ min: 1, max: 30 }).chain((size) =>
  fc.array(entry(size), { maxLength: 4 * size }).map((entries): SparseMatrix => ({
    size,
    rows: [...entries.map(({ row }) => row), ...Array.from({ length: size }, (_, k) => k)],
    columns: [...entries.map(({ column }) => column), ...Array.from({ length: size }, (_, k) => k)],
    re: [...entries.map(({ re }) => re), ...Array.from({ length: size }, () => 40)],
    im: [...entries.map(({ im }) => im), ...Array.from({ length: size }, () => 7)],
  })),
)

const residual = (
  matrix: SparseMatrix,
  bRe: Float64Array,
  bIm: Float64Array,
  xRe: Float64Array,
  xIm: Float64Array,
): number => {
  const re = bRe.slice()
  const im = bIm.slice()
  matrix.rows.forEach((row, t) => {
    const column = matrix.columns[t]
    re[row] -= matrix.re[t] * xRe[column] - matrix.im[t] * xIm[column]
    im[row] -= matrix.re[t] * xIm[column] + matrix.im[t] * xRe[column]
  })
  return Math.max(...re.map(Math.abs), ...im.map(Math.abs))
}

test('solves what it is given: the residual of any well-posed system is at rounding', () => {
  fc.assert(
    fc.property(
      matrices,
      fc.infiniteStream(fc.double({ min: -9, max: 9, noNaN: true })),
      (matrix, numbers) => {
        const draw = (): number => numbers.next().value ?? 0
        const bRe = Float64Array.from({ length: matrix.size }, draw)
        const bIm = Float64Array.from({ length: matrix.size }, draw)
        const xRe = new Float64Array(matrix.size)
        const xIm = new Float64Array(matrix.size)
        SparseLu.factor(matrix).solve(bRe.slice(), bIm.slice(), 0, xRe, xIm)
        expect(residual(matrix, bRe, bIm, xRe, xIm)).toBeLessThan(1e-9)
      },
    ),
    { numRuns: 200 },
  )
})

test('a matrix with an empty row is refused by its number, not solved to nonsense', () => {
  const singular: SparseMatrix = { size: 2, rows: [0], columns: [0], re: [1], im: [0] }
  expect(() => SparseLu.factor(singular)).toThrow(SingularMatrixError)
})

test('factors of a chain hold hardly more than the matrix', () => {
  const size = 200
  const rows: number[] = []
  const columns: number[] = []
  for (let k = 0; k < size; k++)
    for (const j of [k - 1, k, k + 1])
      if (j >= 0 && j < size) {
        rows.push(k)
        columns.push(j)
      }
  const factors = SparseLu.factor({
    size,
    rows,
    columns,
    re: rows.map((row, t) => (row === columns[t] ? 3 : -1)),
    im: rows.map(() => 0),
  })
  expect(factors.entries).toBeLessThan(1.1 * rows.length)
})
