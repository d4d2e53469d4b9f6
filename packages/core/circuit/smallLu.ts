/**
 * A small complex matrix by rows, and once factored its factors in its place: `order` are its rows as they
 * were eliminated.
 */
export interface SmallLu {
  readonly matrixRe: Float64Array
  readonly matrixIm: Float64Array
  readonly order: Int32Array
}

/** Working space that nothing holds on to. */
let halfRe = new Float64Array(64)
let halfIm = new Float64Array(64)
let columnSize = new Float64Array(64)
let rowWeight = new Float64Array(64)

/**
 * What an entry of each row is worth when a pivot is chosen: rows are of volts and of amperes, columns of
 * responses to either, so that their bare sizes say nothing. Columns are brought to one, then rows (Golub and
 * Van Loan, *Matrix Computations*, 3.5.2); only the choice is scaled, not the numbers.
 */
function weighRows({ matrixRe, matrixIm }: SmallLu, size: number): void {
  if (rowWeight.length < size) {
    columnSize = new Float64Array(2 * size)
    rowWeight = new Float64Array(2 * size)
  }
  columnSize.fill(0, 0, size)
  for (let i = 0, entry = 0; i < size; i++)
    for (let j = 0; j < size; j++, entry++)
      columnSize[j] = Math.max(columnSize[j], Math.abs(matrixRe[entry]) + Math.abs(matrixIm[entry]))
  for (let i = 0, entry = 0; i < size; i++) {
    let most = 0
    for (let j = 0; j < size; j++, entry++) {
      const large = Math.abs(matrixRe[entry]) + Math.abs(matrixIm[entry])
      if (large > most * columnSize[j]) most = large / columnSize[j]
    }
    rowWeight[i] = most > 0 ? 1 / most : 1
  }
}

/** Dense LU with scaled partial pivoting, in place. Throws RangeError where there is no single solution. */
export function factorSmall(small: SmallLu, size: number): void {
  const { matrixRe, matrixIm, order } = small
  order[0] = 0
  if (size === 1 && (matrixRe[0] !== 0 || matrixIm[0] !== 0)) return
  for (let i = 0; i < size; i++) order[i] = i
  weighRows(small, size)
  for (let k = 0; k < size; k++) {
    let best = k
    let bestSize = -1
    for (let i = k; i < size; i++) {
      const entry = order[i] * size + k
      const large = rowWeight[order[i]] * (Math.abs(matrixRe[entry]) + Math.abs(matrixIm[entry]))
      if (large > bestSize) {
        bestSize = large
        best = i
      }
    }
    const row = order[best]
    order[best] = order[k]
    order[k] = row
    const pRe = matrixRe[row * size + k]
    const pIm = matrixIm[row * size + k]
    const square = pRe * pRe + pIm * pIm
    if (!(square > 0)) throw new RangeError('the changed network has no single solution')
    for (let i = k + 1; i < size; i++) {
      const at = order[i] * size
      const aRe = matrixRe[at + k]
      const aIm = matrixIm[at + k]
      const mRe = (aRe * pRe + aIm * pIm) / square
      const mIm = (aIm * pRe - aRe * pIm) / square
      matrixRe[at + k] = mRe
      matrixIm[at + k] = mIm
      if (mRe === 0 && mIm === 0) continue
      for (let j = k + 1; j < size; j++) {
        const uRe = matrixRe[row * size + j]
        const uIm = matrixIm[row * size + j]
        matrixRe[at + j] -= mRe * uRe - mIm * uIm
        matrixIm[at + j] -= mRe * uIm + mIm * uRe
      }
    }
  }
}

/**
 * Solves in place for a right-hand side, by factors that begin at `factors` of their arrays, with their order
 * at `start`.
 */
export function substituteSmall(
  { matrixRe, matrixIm, order }: SmallLu,
  size: number,
  factors: number,
  start: number,
  bRe: Float64Array,
  bIm: Float64Array,
): void {
  if (size === 1) {
    divide(bRe, bIm, matrixRe[factors], matrixIm[factors])
    return
  }
  if (halfRe.length < size) {
    halfRe = new Float64Array(2 * size)
    halfIm = new Float64Array(2 * size)
  }
  for (let k = 0; k < size; k++) {
    const row = order[start + k]
    const at = factors + row * size
    let re = bRe[row]
    let im = bIm[row]
    for (let j = 0; j < k; j++) {
      re -= matrixRe[at + j] * halfRe[j] - matrixIm[at + j] * halfIm[j]
      im -= matrixRe[at + j] * halfIm[j] + matrixIm[at + j] * halfRe[j]
    }
    halfRe[k] = re
    halfIm[k] = im
  }
  for (let k = size - 1; k >= 0; k--) {
    const at = factors + order[start + k] * size
    let re = halfRe[k]
    let im = halfIm[k]
    for (let j = k + 1; j < size; j++) {
      re -= matrixRe[at + j] * bRe[j] - matrixIm[at + j] * bIm[j]
      im -= matrixRe[at + j] * bIm[j] + matrixIm[at + j] * bRe[j]
    }
    const pRe = matrixRe[at + k]
    const pIm = matrixIm[at + k]
    const square = pRe * pRe + pIm * pIm
    bRe[k] = (re * pRe + im * pIm) / square
    bIm[k] = (im * pRe - re * pIm) / square
  }
}

/** Smaller systems lose nothing by their pivots. */
const refinedFrom = 3
/** What is solved, kept beside its factors: matrix and right-hand side. */
let keptRe = new Float64Array(64)
let keptIm = new Float64Array(64)
let restRe = new Float64Array(64)
let restIm = new Float64Array(64)

/**
 * Solves in place for a right-hand side, and leaves the factors in place of the matrix. One step of iterative
 * refinement in the same precision makes good what pivots chosen among rows of volts and of amperes lose
 * (Higham, *Accuracy and Stability of Numerical Algorithms*, 12.2).
 */
export function solveSmall(small: SmallLu, size: number, bRe: Float64Array, bIm: Float64Array): void {
  if (size < refinedFrom) {
    factorSmall(small, size)
    substituteSmall(small, size, 0, 0, bRe, bIm)
    return
  }
  const { matrixRe, matrixIm } = small
  const entries = size * size
  if (keptRe.length < entries) {
    keptRe = new Float64Array(2 * entries)
    keptIm = new Float64Array(2 * entries)
    restRe = new Float64Array(2 * entries)
    restIm = new Float64Array(2 * entries)
  }
  for (let entry = 0; entry < entries; entry++) {
    keptRe[entry] = matrixRe[entry]
    keptIm[entry] = matrixIm[entry]
  }
  for (let i = 0; i < size; i++) {
    restRe[i] = bRe[i]
    restIm[i] = bIm[i]
  }
  factorSmall(small, size)
  substituteSmall(small, size, 0, 0, bRe, bIm)
  for (let i = 0, entry = 0; i < size; i++)
    for (let j = 0; j < size; j++, entry++) {
      restRe[i] -= keptRe[entry] * bRe[j] - keptIm[entry] * bIm[j]
      restIm[i] -= keptRe[entry] * bIm[j] + keptIm[entry] * bRe[j]
    }
  substituteSmall(small, size, 0, 0, restRe, restIm)
  for (let i = 0; i < size; i++) {
    bRe[i] += restRe[i]
    bIm[i] += restIm[i]
  }
}

/** b₀ ← b₀ / (re + j·im). */
function divide(bRe: Float64Array, bIm: Float64Array, re: number, im: number): void {
  const square = re * re + im * im
  const b = bRe[0]
  bRe[0] = (b * re + bIm[0] * im) / square
  bIm[0] = (bIm[0] * re - b * im) / square
}
