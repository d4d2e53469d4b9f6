import type { Analysis, Network, Row } from './network'
import { SparseLu, type SparseMatrix } from './sparseLu'

/** Leakage of every node to the metal of the unit, siemens: keeps what hangs free defined (100 GΩ). */
export const leakageSiemens = 1e-11

/** Node voltages, a zero for earth at `earthNode`, then link currents from a to b. Phasors. */
export interface Vector {
  readonly re: Float64Array
  readonly im: Float64Array
  /** What the parts feel of it, side by side: filled when first asked for. */
  felt: Felt | null
}

export interface Felt {
  readonly re: Float64Array
  readonly im: Float64Array
}

/** What the parts feel: each is the difference of two places of a vector (amps: against earth's zero). */
export interface Senses {
  readonly plus: Int32Array
  readonly minus: Int32Array
}

/**
 * A network factored with every link under one row. Link currents are unknowns of their own (modified nodal
 * analysis; Ho, Ruehli & Brennan 1975), so that opening a link is a change of its row, to “its current is
 * nought”,
 * with no subtraction of nearly equal numbers. Unknowns stand in the order of a `Vector`.
 */
export class Factored {
  readonly nodeCount: number
  readonly length: number
  readonly solution: Vector
  private readonly lu: SparseLu
  private readonly rowResponses: (Vector | undefined)[] = []
  private readonly pairResponses = new Map<number, Vector>()
  private passing: Vector | null = null
  private readonly workRe: Float64Array
  private readonly workIm: Float64Array
  private slab = new Float64Array(0)
  private slabUsed = 0

  constructor(
    readonly network: Network,
    readonly analysis: Analysis,
    readonly rows: readonly Row[],
  ) {
    this.nodeCount = network.earthNode
    this.length = this.nodeCount + 1 + network.links.length
    this.lu = SparseLu.factor(this.matrix())
    this.workRe = new Float64Array(this.length)
    this.workIm = new Float64Array(this.length)
    rows.forEach((row, link) => {
      if (!row) return
      this.workRe[this.placeOf(link)] = row.emfRe
      this.workIm[this.placeOf(link)] = row.emfIm
    })
    this.solution = this.solve(0)
  }

  /** Entries of the factors: the work of one solve. */
  get entries(): number {
    return this.lu.entries
  }

  /** Where the current of a link stands in a vector. */
  placeOf(link: number): number {
    return this.nodeCount + 1 + link
  }

  /**
   * What one unit on the right-hand side of a link's row does: a volt of electromotive force; of an open
   * link, an ampere.
   */
  rowResponse(link: number): Vector {
    const known = this.rowResponses[link]
    if (known) return known
    const place = this.placeOf(link)
    this.workRe[place] = 1
    const response = this.solve(this.lu.stepOf(place))
    this.rowResponses[link] = response
    return response
  }

  /** What one ampere does that is fed in at node `a` and taken out at node `b`. */
  pairResponse(a: number, b: number): Vector {
    const key = this.pairKey(a, b)
    const known = this.pairResponses.get(key)
    if (known) return known
    const response = this.solve(this.feedPair(a, b))
    this.pairResponses.set(key, response)
    return response
  }

  /** The same for one look at it: not kept, it holds until the next. */
  passingPairResponse(a: number, b: number): Vector {
    const known = this.pairResponses.get(this.pairKey(a, b))
    if (known) return known
    this.passing ??= { re: new Float64Array(this.length), im: new Float64Array(this.length), felt: null }
    return this.solve(this.feedPair(a, b), this.passing)
  }

  private pairKey(a: number, b: number): number {
    return a * (this.nodeCount + 1) + b
  }

  /** Puts the ampere on the right-hand side; gives the first step of the elimination that it concerns. */
  private feedPair(a: number, b: number): number {
    let from = this.length
    const feed = (node: number, amps: number): void => {
      if (node >= this.nodeCount) return
      this.workRe[node] += amps
      from = Math.min(from, this.lu.stepOf(node))
    }
    feed(a, 1)
    feed(b, -1)
    return from
  }

  /** What is felt of a vector, in the order of `senses` (always the same for one network and analysis). */
  felt(vector: Vector, { plus, minus }: Senses): Felt {
    if (vector.felt) return vector.felt
    const { re, im } = vector
    const felt = { re: new Float64Array(plus.length), im: new Float64Array(plus.length) }
    for (let s = 0; s < plus.length; s++) {
      felt.re[s] = re[plus[s]] - re[minus[s]]
      felt.im[s] = im[plus[s]] - im[minus[s]]
    }
    vector.felt = felt
    return felt
  }

  private solve(from: number, vector: Vector = { re: this.room(), im: this.room(), felt: null }): Vector {
    this.lu.solve(this.workRe, this.workIm, from, vector.re, vector.im)
    return vector
  }

  /** Room for one part of a vector, cut from a slab of many: small typed arrays are dear to make. */
  private room(): Float64Array {
    if (this.slabUsed + this.length > this.slab.length) {
      this.slab = new Float64Array(this.length * (this.slab.length === 0 ? 8 : 64))
      this.slabUsed = 0
    }
    const start = this.slabUsed
    this.slabUsed += this.length
    return this.slab.subarray(start, start + this.length)
  }

  /** The equations as they were factored. */
  matrix(): SparseMatrix {
    const matrix = {
      size: this.length,
      rows: [] as number[],
      columns: [] as number[],
      re: [] as number[],
      im: [] as number[],
    }
    const put = (row: number, column: number, re: number, im: number): void => {
      matrix.rows.push(row)
      matrix.columns.push(column)
      matrix.re.push(re)
      matrix.im.push(im)
    }
    const {
      nodeCount,
      network: { links },
    } = this
    for (let node = 0; node < nodeCount; node++) put(node, node, leakageSiemens, 0)
    put(nodeCount, nodeCount, 1, 0)
    for (let link = 0; link < links.length; link++) {
      const { a, b } = links[link]
      const row = this.rows[link]
      const current = this.placeOf(link)
      if (a !== b) {
        if (a < nodeCount) put(a, current, 1, 0)
        if (b < nodeCount) put(b, current, -1, 0)
      }
      if (!row) {
        put(current, current, 1, 0)
        continue
      }
      for (let term = 0; term < row.links.length; term++) {
        const of = links[row.links[term]]
        const vRe = row.voltsRe[term]
        const vIm = row.voltsIm[term]
        if ((vRe !== 0 || vIm !== 0) && of.a !== of.b) {
          if (of.a < nodeCount) put(current, of.a, vRe, vIm)
          if (of.b < nodeCount) put(current, of.b, -vRe, -vIm)
        }
        const zRe = row.ohmsRe[term]
        const zIm = row.ohmsIm[term]
        if (zRe !== 0 || zIm !== 0) put(current, this.placeOf(row.links[term]), -zRe, -zIm)
      }
    }
    return matrix
  }
}
