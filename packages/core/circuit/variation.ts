import type { Factored, Felt, Senses, Vector } from './factored'
import type { Row } from './network'

/** One changed row: a link of the network, or (link −1) a join of two nodes that the network does not have. */
export interface Change {
  readonly link: number
  readonly a: number
  readonly b: number
  readonly row: Row
}

/** Working space that nothing holds on to: the first `size` places of one of four. */
const spaces = Array.from({ length: 4 }, () => new Float64Array(64))
function scratch(size: number, which: number): Float64Array {
  if (spaces[which].length < size) spaces[which] = new Float64Array(2 * size)
  return spaces[which]
}

const none = new Float64Array(0)
const noOrder = new Int32Array(0)

/**
 * A factored network with a few rows replaced, solved by a low-rank update of the one factorisation: with x₀ the
 * base solution and xⱼ the response to a unit force in changed row j, the new rows applied to x₀ − Σ cⱼ xⱼ must hold,
 * which is a k × k system for c (Sherman–Morrison–Woodbury, written on the rows so that nothing cancels).
 * It is solved when first asked about.
 */
export class Variation {
  private solved = false
  private size = 0
  private readonly responses: Vector[] = []
  private matrixRe = none
  private matrixIm = none
  private order = noOrder
  private weightRe = none
  private weightIm = none

  constructor(public base: Factored, public changes: readonly Change[]) {}

  /** Turns to other changes, perhaps of another base; the working space stays. */
  restart(base: Factored, changes: readonly Change[]): void {
    this.base = base
    this.changes = changes
    this.solved = false
  }

  private ready(): void {
    if (this.solved) return
    this.solved = true
    const { base, changes, responses } = this
    const size = (this.size = changes.length)
    if (size === 0) return
    if (this.order.length < size) {
      this.matrixRe = new Float64Array(size * size)
      this.matrixIm = new Float64Array(size * size)
      this.order = new Int32Array(size)
      this.weightRe = new Float64Array(size)
      this.weightIm = new Float64Array(size)
    }
    for (let i = 0; i < size; i++) {
      const { link, a, b } = changes[i]
      responses[i] = link >= 0 ? base.rowResponse(link) : base.pairResponse(a, b)
    }
    for (let i = 0; i < size; i++) {
      for (let j = 0; j < size; j++) this.apply(i, responses[j], j === i, this.matrixRe, this.matrixIm, i * size + j)
      this.apply(i, base.solution, false, this.weightRe, this.weightIm, i)
      const { row } = changes[i]
      if (row) {
        this.weightRe[i] -= row.emfRe
        this.weightIm[i] -= row.emfIm
      }
    }
    this.factor()
    this.substitute(this.weightRe, this.weightIm)
  }

  /** Volts from node a to node b into `out`: [re, im]. */
  volts(a: number, b: number, out: Float64Array): void {
    this.ready()
    const { re, im } = this.base.solution
    let vRe = re[a] - re[b]
    let vIm = im[a] - im[b]
    for (let j = 0; j < this.size; j++) {
      const response = this.responses[j]
      const dRe = response.re[a] - response.re[b]
      const dIm = response.im[a] - response.im[b]
      vRe -= this.weightRe[j] * dRe - this.weightIm[j] * dIm
      vIm -= this.weightRe[j] * dIm + this.weightIm[j] * dRe
    }
    out[0] = vRe
    out[1] = vIm
  }

  /** Size of the direct volts from node a to node b. */
  directVolts(a: number, b: number): number {
    this.ready()
    const { re } = this.base.solution
    let volts = re[a] - re[b]
    for (let j = 0; j < this.size; j++) volts -= this.weightRe[j] * (this.responses[j].re[a] - this.responses[j].re[b])
    return Math.abs(volts)
  }

  /** Current of a link from a to b into `out`: [re, im]. */
  amps(link: number, out: Float64Array): void {
    this.ready()
    const at = this.base.placeOf(link)
    let re = this.base.solution.re[at]
    let im = this.base.solution.im[at]
    for (let j = 0; j < this.size; j++) {
      const response = this.responses[j]
      re -= this.weightRe[j] * response.re[at] - this.weightIm[j] * response.im[at]
      im -= this.weightRe[j] * response.im[at] + this.weightIm[j] * response.re[at]
    }
    out[0] = re
    out[1] = im
  }

  /** All that the parts feel, into `out`, in the order of `senses`. */
  feel(senses: Senses, out: Felt): void {
    this.ready()
    const { base } = this
    const own = base.felt(base.solution, senses)
    out.re.set(own.re)
    out.im.set(own.im)
    for (let j = 0; j < this.size; j++) {
      const wRe = this.weightRe[j]
      const wIm = this.weightIm[j]
      if (wRe === 0 && wIm === 0) continue
      const { re, im } = base.felt(this.responses[j], senses)
      for (let s = 0; s < re.length; s++) {
        out.re[s] -= wRe * re[s] - wIm * im[s]
        out.im[s] -= wRe * im[s] + wIm * re[s]
      }
    }
  }

  /** Current from a to b of the join that is change number `index`. */
  joinAmps(index: number, out: Float64Array): void {
    this.ready()
    out[0] = this.weightRe[index]
    out[1] = this.weightIm[index]
  }

  /** Impedance seen between two nodes with every source dead, into `out`: [re, im]. Ohms. */
  impedance(a: number, b: number, out: Float64Array): void {
    this.ready()
    const { size } = this
    const response = this.base.pairResponse(a, b)
    let re = response.re[a] - response.re[b]
    let im = response.im[a] - response.im[b]
    if (size > 0) {
      const dRe = scratch(size, 0)
      const dIm = scratch(size, 1)
      for (let i = 0; i < size; i++) this.apply(i, response, false, dRe, dIm, i)
      this.substitute(dRe, dIm)
      for (let j = 0; j < size; j++) {
        const own = this.responses[j]
        const vRe = own.re[a] - own.re[b]
        const vIm = own.im[a] - own.im[b]
        re -= dRe[j] * vRe - dIm[j] * vIm
        im -= dRe[j] * vIm + dIm[j] * vRe
      }
    }
    out[0] = re
    out[1] = im
  }

  /** The new row i applied to a vector; `own` when the vector is the response of that very change. */
  private apply(i: number, x: Vector, own: boolean, toRe: Float64Array, toIm: Float64Array, at: number): void {
    const change = this.changes[i]
    const { row } = change
    const currents = this.base.nodeCount + 1
    if (change.link < 0) {
      // a join: V − ohms·I, and its own response carries −1 A in it
      const vRe = x.re[change.a] - x.re[change.b]
      const vIm = x.im[change.a] - x.im[change.b]
      toRe[at] = vRe + (own && row ? row.ohmsRe[0] : 0)
      toIm[at] = vIm + (own && row ? row.ohmsIm[0] : 0)
      return
    }
    if (!row) {
      toRe[at] = x.re[currents + change.link]
      toIm[at] = x.im[currents + change.link]
      return
    }
    if (row.links.length === 1 && row.links[0] === change.link && row.voltsIm[0] === 0 && row.voltsRe[0] === 1) {
      // nearly every row is a plain impedance
      const iRe = x.re[currents + change.link]
      const iIm = x.im[currents + change.link]
      toRe[at] = x.re[change.a] - x.re[change.b] - (row.ohmsRe[0] * iRe - row.ohmsIm[0] * iIm)
      toIm[at] = x.im[change.a] - x.im[change.b] - (row.ohmsRe[0] * iIm + row.ohmsIm[0] * iRe)
      return
    }
    const { links } = this.base.network
    let re = 0
    let im = 0
    for (let t = 0; t < row.links.length; t++) {
      const of = row.links[t]
      const { a, b } = links[of]
      const vRe = x.re[a] - x.re[b]
      const vIm = x.im[a] - x.im[b]
      const iRe = x.re[currents + of]
      const iIm = x.im[currents + of]
      re += row.voltsRe[t] * vRe - row.voltsIm[t] * vIm - (row.ohmsRe[t] * iRe - row.ohmsIm[t] * iIm)
      im += row.voltsRe[t] * vIm + row.voltsIm[t] * vRe - (row.ohmsRe[t] * iIm + row.ohmsIm[t] * iRe)
    }
    toRe[at] = re
    toIm[at] = im
  }

  /** Dense LU with partial pivoting, in place. */
  private factor(): void {
    const { size, matrixRe, matrixIm, order } = this
    order[0] = 0
    if (size === 1 && (matrixRe[0] !== 0 || matrixIm[0] !== 0)) return
    for (let i = 0; i < size; i++) order[i] = i
    for (let k = 0; k < size; k++) {
      let best = k
      let bestSize = -1
      for (let i = k; i < size; i++) {
        const entry = order[i] * size + k
        const large = Math.abs(matrixRe[entry]) + Math.abs(matrixIm[entry])
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

  private substitute(bRe: Float64Array, bIm: Float64Array): void {
    const { size, matrixRe, matrixIm, order } = this
    if (size === 1) {
      divide(bRe, bIm, matrixRe[0], matrixIm[0])
      return
    }
    const yRe = scratch(size, 2)
    const yIm = scratch(size, 3)
    for (let k = 0; k < size; k++) {
      const at = order[k] * size
      let re = bRe[order[k]]
      let im = bIm[order[k]]
      for (let j = 0; j < k; j++) {
        re -= matrixRe[at + j] * yRe[j] - matrixIm[at + j] * yIm[j]
        im -= matrixRe[at + j] * yIm[j] + matrixIm[at + j] * yRe[j]
      }
      yRe[k] = re
      yIm[k] = im
    }
    for (let k = size - 1; k >= 0; k--) {
      const at = order[k] * size
      let re = yRe[k]
      let im = yIm[k]
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
}

/** b₀ ← b₀ / (re + j·im). */
function divide(bRe: Float64Array, bIm: Float64Array, re: number, im: number): void {
  const square = re * re + im * im
  const b = bRe[0]
  bRe[0] = (b * re + bIm[0] * im) / square
  bIm[0] = (bIm[0] * re - b * im) / square
}
