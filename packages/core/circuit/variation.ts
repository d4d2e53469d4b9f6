import type { Factored, Felt, Sense, Vector } from './factored'
import type { Row } from './network'

/** One changed row: a link of the network, or (link −1) a join of two nodes that the network does not have. */
export interface Change {
  readonly link: number
  readonly a: number
  readonly b: number
  readonly row: Row
}

/**
 * A factored network with a few rows replaced, solved by a low-rank update of the one factorisation: with x₀ the
 * base solution and xⱼ the response to a unit force in changed row j, the new rows applied to x₀ − Σ cⱼ xⱼ must hold,
 * which is a k × k system for c (Sherman–Morrison–Woodbury, written on the rows so that nothing cancels).
 */
export class Variation {
  private readonly responses: Vector[] = []
  private readonly size: number
  private readonly matrixRe: Float64Array
  private readonly matrixIm: Float64Array
  private readonly order: Int32Array
  private readonly weightRe: Float64Array
  private readonly weightIm: Float64Array

  constructor(readonly base: Factored, readonly changes: readonly Change[]) {
    const size = (this.size = changes.length)
    this.matrixRe = new Float64Array(size * size)
    this.matrixIm = new Float64Array(size * size)
    this.order = new Int32Array(size)
    this.weightRe = new Float64Array(size)
    this.weightIm = new Float64Array(size)
    for (const change of changes)
      this.responses.push(change.link >= 0 ? base.rowResponse(change.link) : base.pairResponse(change.a, change.b))
    for (let i = 0; i < size; i++) {
      for (let j = 0; j < size; j++) this.apply(i, this.responses[j], j === i, this.matrixRe, this.matrixIm, i * size + j)
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

  /** Current of a link from a to b into `out`: [re, im]. */
  amps(link: number, out: Float64Array): void {
    const at = this.base.nodeCount + 1 + link
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
  feel(senses: readonly Sense[], out: Felt): void {
    const { base } = this
    const own = base.felt(base.solution, senses)
    out.re.set(own.re)
    out.im.set(own.im)
    for (let j = 0; j < this.size; j++) {
      const { re, im } = base.felt(this.responses[j], senses)
      const wRe = this.weightRe[j]
      const wIm = this.weightIm[j]
      for (let s = 0; s < re.length; s++) {
        out.re[s] -= wRe * re[s] - wIm * im[s]
        out.im[s] -= wRe * im[s] + wIm * re[s]
      }
    }
  }

  /** Current from a to b of the join that is change number `index`. */
  joinAmps(index: number, out: Float64Array): void {
    out[0] = this.weightRe[index]
    out[1] = this.weightIm[index]
  }

  /** Impedance seen between two nodes with every source dead, into `out`: [re, im]. Ohms. */
  impedance(a: number, b: number, out: Float64Array): void {
    const { size } = this
    const response = this.base.pairResponse(a, b)
    let re = response.re[a] - response.re[b]
    let im = response.im[a] - response.im[b]
    if (size > 0) {
      const dRe = new Float64Array(size)
      const dIm = new Float64Array(size)
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
      toRe[at] = -x.re[currents + change.link]
      toIm[at] = -x.im[currents + change.link]
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
    const yRe = new Float64Array(size)
    const yIm = new Float64Array(size)
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
