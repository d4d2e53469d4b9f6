/** A square complex matrix as triplets; entries at the same place add up. */
export interface SparseMatrix {
  readonly size: number
  readonly rows: readonly number[]
  readonly columns: readonly number[]
  readonly re: readonly number[]
  readonly im: readonly number[]
}

/** The matrix has no inverse: `row` names an equation that the others already say. */
export class SingularMatrixError extends Error {
  constructor(readonly row: number) {
    super(`the network has no single solution (equation ${row})`)
    this.name = 'SingularMatrixError'
  }
}

/** A pivot must be at least this part of the largest entry of its row. */
const threshold = 0.5
/** Rows with a usable pivot looked at before the best so far is taken. */
const searchedRows = 4

/**
 * Sparse LU factors of a complex matrix, with pivots chosen by Markowitz cost among entries that pass a
 * row-relative threshold. Circuits are nearly trees, so the factors hold hardly more than the matrix.
 * Source: H. M. Markowitz, Management Science 3 (1957); Duff, Erisman & Reid, Direct Methods for Sparse
 * Matrices.
 */
export class SparseLu {
  readonly size: number
  private readonly pivotRow: Int32Array
  private readonly pivotColumn: Int32Array
  /** The step at which each row is the pivot. */
  private readonly stepOfRow: Int32Array
  private readonly inverseRe: Float64Array
  private readonly inverseIm: Float64Array
  private readonly lower: Triangle
  private readonly upper: Triangle

  private constructor(steps: readonly Step[]) {
    const size = (this.size = steps.length)
    this.pivotRow = new Int32Array(size)
    this.pivotColumn = new Int32Array(size)
    this.stepOfRow = new Int32Array(size)
    this.inverseRe = new Float64Array(size)
    this.inverseIm = new Float64Array(size)
    const lower: Entries[] = []
    const upper: Entries[] = []
    for (let k = 0; k < size; k++) {
      const step = steps[k]
      this.pivotRow[k] = step.row
      this.pivotColumn[k] = step.column
      this.stepOfRow[step.row] = k
      this.inverseRe[k] = step.inverseRe
      this.inverseIm[k] = step.inverseIm
      lower.push(step.lower)
      upper.push(step.upper)
    }
    this.lower = flatten(lower)
    this.upper = flatten(upper)
  }

  /** Entries of both factors, the work of one solve. */
  get entries(): number {
    return this.lower.index.length + this.upper.index.length + this.size
  }

  /** Factors `matrix`; throws SingularMatrixError. */
  static factor(matrix: SparseMatrix): SparseLu {
    return new SparseLu(new Elimination(matrix).run())
  }

  /**
   * Where a right-hand side with its first entry in this row begins: pass the least of all its rows to
   * `solve`.
   */
  stepOf(row: number): number {
    return this.stepOfRow[row]
  }

  /**
   * Solves A x = b for a sparse b whose entries begin at step `from`. The answer goes to `xRe`, `xIm` (first
   * `size`
   * places); `b` is left all zero, ready for the next.
   */
  solve(bRe: Float64Array, bIm: Float64Array, from: number, xRe: Float64Array, xIm: Float64Array): void {
    this.forward(bRe, bIm, from)
    const { size, pivotRow, pivotColumn, inverseRe, inverseIm } = this
    const { start, index, re: upperRe, im: upperIm } = this.upper
    for (let k = size - 1; k >= 0; k--) {
      const row = pivotRow[k]
      let re = bRe[row]
      let im = bIm[row]
      bRe[row] = 0
      bIm[row] = 0
      for (let p = start[k], end = start[k + 1]; p < end; p++) {
        const at = index[p]
        const uRe = upperRe[p]
        const uIm = upperIm[p]
        const vRe = xRe[at]
        const vIm = xIm[at]
        re -= uRe * vRe - uIm * vIm
        im -= uRe * vIm + uIm * vRe
      }
      const iRe = inverseRe[k]
      const iIm = inverseIm[k]
      const column = pivotColumn[k]
      xRe[column] = re * iRe - im * iIm
      xIm[column] = re * iIm + im * iRe
    }
  }

  private forward(bRe: Float64Array, bIm: Float64Array, from: number): void {
    const { size, pivotRow } = this
    const { start, index, re: lowerRe, im: lowerIm } = this.lower
    for (let k = from; k < size; k++) {
      const row = pivotRow[k]
      const re = bRe[row]
      const im = bIm[row]
      if (re === 0 && im === 0) continue
      for (let p = start[k], end = start[k + 1]; p < end; p++) {
        const at = index[p]
        const mRe = lowerRe[p]
        const mIm = lowerIm[p]
        bRe[at] -= mRe * re - mIm * im
        bIm[at] -= mRe * im + mIm * re
      }
    }
  }
}

interface Entries {
  readonly index: number[]
  readonly re: number[]
  readonly im: number[]
}

interface Step {
  readonly row: number
  readonly column: number
  readonly inverseRe: number
  readonly inverseIm: number
  readonly lower: Entries
  readonly upper: Entries
}

interface Triangle {
  readonly start: Int32Array
  readonly index: Int32Array
  readonly re: Float64Array
  readonly im: Float64Array
}

const noEntries: Entries = { index: [], re: [], im: [] }

function flatten(lists: readonly Entries[]): Triangle {
  const start = new Int32Array(lists.length + 1)
  for (let k = 0; k < lists.length; k++) start[k + 1] = start[k] + lists[k].index.length
  const total = start[lists.length]
  const flat = {
    start,
    index: new Int32Array(total),
    re: new Float64Array(total),
    im: new Float64Array(total),
  }
  for (let k = 0; k < lists.length; k++) {
    const { index, re, im } = lists[k]
    for (let p = 0, at = start[k]; p < index.length; p++, at++) {
      flat.index[at] = index[p]
      flat.re[at] = re[p]
      flat.im[at] = im[p]
    }
  }
  return flat
}

/** Right-looking elimination on rows kept as short lists. */
class Elimination {
  private readonly rows: Entries[]
  private readonly columnRows: number[][]
  private readonly columnCount: Int32Array
  private readonly rowDone: Uint8Array
  private readonly place: Int32Array
  private readonly bucketHead: Int32Array
  private readonly bucketNext: Int32Array
  private readonly bucketPrevious: Int32Array
  private readonly size: number

  constructor(matrix: SparseMatrix) {
    const size = (this.size = matrix.size)
    this.rows = []
    this.columnRows = []
    for (let k = 0; k < size; k++) {
      this.rows.push({ index: [], re: [], im: [] })
      this.columnRows.push([])
    }
    this.columnCount = new Int32Array(size)
    this.rowDone = new Uint8Array(size)
    this.place = new Int32Array(size).fill(-1)
    this.bucketHead = new Int32Array(size + 2).fill(-1)
    this.bucketNext = new Int32Array(size).fill(-1)
    this.bucketPrevious = new Int32Array(size).fill(-1)
    for (let t = 0; t < matrix.rows.length; t++) {
      const row = matrix.rows[t]
      this.addEntry(row, matrix.columns[t], matrix.re[t], matrix.im[t])
    }
    for (let row = 0; row < size; row++) this.enlist(row)
  }

  run(): Step[] {
    const steps: Step[] = []
    for (let k = 0; k < this.size; k++) {
      const { row, at } = this.choosePivot()
      steps.push(this.eliminate(row, at))
    }
    return steps
  }

  private addEntry(row: number, column: number, re: number, im: number): void {
    const entries = this.rows[row]
    const at = entries.index.indexOf(column)
    if (at >= 0) {
      entries.re[at] += re
      entries.im[at] += im
      return
    }
    entries.index.push(column)
    entries.re.push(re)
    entries.im.push(im)
    this.columnRows[column].push(row)
    this.columnCount[column] += 1
  }

  private enlist(row: number): void {
    const count = Math.min(this.rows[row].index.length, this.size)
    const head = this.bucketHead[count]
    this.bucketNext[row] = head
    this.bucketPrevious[row] = -1 - count - 1
    if (head >= 0) this.bucketPrevious[head] = row
    this.bucketHead[count] = row
  }

  private delist(row: number): void {
    const next = this.bucketNext[row]
    const previous = this.bucketPrevious[row]
    if (previous >= 0) this.bucketNext[previous] = next
    else this.bucketHead[-previous - 2] = next
    if (next >= 0) this.bucketPrevious[next] = previous
  }

  private choosePivot(): { row: number; at: number } {
    let bestRow = -1
    let bestAt = -1
    let bestCost = Infinity
    let searched = 0
    for (let count = 0; count <= this.size; count++) {
      if (bestRow >= 0 && bestCost <= (count - 1) * (count - 1)) break
      for (let row = this.bucketHead[count]; row >= 0; row = this.bucketNext[row]) {
        const entries = this.rows[row]
        let largest = 0
        for (let p = 0; p < count; p++) {
          const size = Math.abs(entries.re[p]) + Math.abs(entries.im[p])
          if (size > largest) largest = size
        }
        if (!(largest > 0)) throw new SingularMatrixError(row)
        for (let p = 0; p < count; p++) {
          const size = Math.abs(entries.re[p]) + Math.abs(entries.im[p])
          if (size < threshold * largest) continue
          const cost = (count - 1) * (this.columnCount[entries.index[p]] - 1)
          if (cost < bestCost) {
            bestCost = cost
            bestRow = row
            bestAt = p
          }
        }
        if (bestCost === 0) return { row: bestRow, at: bestAt }
        if (++searched >= searchedRows && bestRow >= 0) return { row: bestRow, at: bestAt }
      }
    }
    if (bestRow < 0) throw new SingularMatrixError(this.rowDone.indexOf(0))
    return { row: bestRow, at: bestAt }
  }

  private eliminate(row: number, at: number): Step {
    const pivot = this.rows[row]
    const column = pivot.index[at]
    const pRe = pivot.re[at]
    const pIm = pivot.im[at]
    const square = pRe * pRe + pIm * pIm
    const inverseRe = pRe / square
    const inverseIm = -pIm / square
    this.delist(row)
    this.rowDone[row] = 1
    removeAt(pivot, at)
    for (const other of pivot.index) this.columnCount[other] -= 1
    let lower = noEntries
    for (const target of this.columnRows[column]) {
      if (this.rowDone[target] === 1) continue
      if (lower === noEntries) lower = { index: [], re: [], im: [] }
      const entries = this.rows[target]
      const spot = entries.index.indexOf(column)
      const aRe = entries.re[spot]
      const aIm = entries.im[spot]
      const mRe = aRe * inverseRe - aIm * inverseIm
      const mIm = aRe * inverseIm + aIm * inverseRe
      this.delist(target)
      removeAt(entries, spot)
      this.subtract(target, entries, pivot, mRe, mIm)
      this.enlist(target)
      lower.index.push(target)
      lower.re.push(mRe)
      lower.im.push(mIm)
    }
    return { row, column, inverseRe, inverseIm, lower, upper: pivot }
  }

  private subtract(target: number, entries: Entries, pivot: Entries, mRe: number, mIm: number): void {
    const { place } = this
    for (let p = 0; p < entries.index.length; p++) place[entries.index[p]] = p
    for (let p = 0; p < pivot.index.length; p++) {
      const column = pivot.index[p]
      const re = mRe * pivot.re[p] - mIm * pivot.im[p]
      const im = mRe * pivot.im[p] + mIm * pivot.re[p]
      const at = place[column]
      if (at >= 0) {
        entries.re[at] -= re
        entries.im[at] -= im
      } else {
        entries.index.push(column)
        entries.re.push(-re)
        entries.im.push(-im)
        this.columnRows[column].push(target)
        this.columnCount[column] += 1
      }
    }
    for (let p = 0; p < entries.index.length; p++) place[entries.index[p]] = -1
  }
}

function removeAt(entries: Entries, at: number): void {
  const last = entries.index.length - 1
  entries.index[at] = entries.index[last]
  entries.re[at] = entries.re[last]
  entries.im[at] = entries.im[last]
  entries.index.pop()
  entries.re.pop()
  entries.im.pop()
}
