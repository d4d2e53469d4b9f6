import type { Factored, Felt, Senses, Vector } from './factored'
import type { Row } from './network'
import { solveSmall, substituteSmall, type SmallLu } from './smallLu'

/**
 * One changed row: a link of the network, or (link −1) a join of two nodes that the network does not have.
 */
export interface Change {
  readonly link: number
  readonly a: number
  readonly b: number
  readonly row: Row
}

/**
 * The update that makes a variation of its base, solved: responses to its changed rows, their weights, the
 * factors they come from.
 */
export interface Update {
  readonly size: number
  readonly changes: readonly Change[]
  readonly responses: readonly Vector[]
  readonly weightRe: Float64Array
  readonly weightIm: Float64Array
  readonly factors: SmallLu
}

/** Working space that nothing holds on to: the first `size` places of one of two. */
const spaces = Array.from({ length: 2 }, () => new Float64Array(64))
function scratch(size: number, which: number): Float64Array {
  if (spaces[which].length < size) spaces[which] = new Float64Array(2 * size)
  return spaces[which]
}

const none = new Float64Array(0)
const noFactors: SmallLu = { matrixRe: none, matrixIm: none, order: new Int32Array(0) }

/**
 * A factored network with a few rows replaced, solved by a low-rank update of the one factorisation: with x₀
 * the
 * base solution and xⱼ the response to a unit force in changed row j, the new rows applied to x₀ − Σ cⱼ xⱼ
 * must hold,
 * which is a k × k system for c (Sherman–Morrison–Woodbury, written on the rows so that nothing cancels).
 * It is solved when first asked about.
 */
export class Variation {
  private solved = false
  private size = 0
  private readonly responses: Vector[] = []
  private factors: SmallLu = noFactors
  private weightRe = none
  private weightIm = none

  constructor(
    public base: Factored,
    public changes: readonly Change[],
  ) {}

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
    if (this.factors.order.length < size) {
      this.factors = {
        matrixRe: new Float64Array(size * size),
        matrixIm: new Float64Array(size * size),
        order: new Int32Array(size),
      }
      this.weightRe = new Float64Array(size)
      this.weightIm = new Float64Array(size)
    }
    for (let i = 0; i < size; i++) {
      const { link, a, b } = changes[i]
      responses[i] = link >= 0 ? base.rowResponse(link) : base.pairResponse(a, b)
    }
    const { matrixRe, matrixIm } = this.factors
    for (let i = 0; i < size; i++) {
      for (let j = 0; j < size; j++) this.apply(i, responses[j], j === i, matrixRe, matrixIm, i * size + j)
      this.apply(i, base.solution, false, this.weightRe, this.weightIm, i)
      const { row } = changes[i]
      if (row) {
        this.weightRe[i] -= row.emfRe
        this.weightIm[i] -= row.emfIm
      }
    }
    solveSmall(this.factors, size, this.weightRe, this.weightIm)
  }

  /** Holds until the variation turns to other changes. */
  get update(): Update {
    this.ready()
    const { size, changes, responses, weightRe, weightIm, factors } = this
    return { size, changes, responses, weightRe, weightIm, factors }
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
    for (let j = 0; j < this.size; j++)
      volts -= this.weightRe[j] * (this.responses[j].re[a] - this.responses[j].re[b])
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
      substituteSmall(this.factors, size, 0, 0, dRe, dIm)
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
  private apply(
    i: number,
    x: Vector,
    own: boolean,
    toRe: Float64Array,
    toIm: Float64Array,
    at: number,
  ): void {
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
    if (
      row.links.length === 1 &&
      row.links[0] === change.link &&
      row.voltsIm[0] === 0 &&
      row.voltsRe[0] === 1
    ) {
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
}
