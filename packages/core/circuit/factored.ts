import type { Analysis, Network, Row } from './network'
import { SparseLu } from './sparseLu'

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

/** A quantity that a part feels: volts across a link, or amps through it. */
export interface Sense {
  readonly link: number
  readonly of: 'volts' | 'amps'
}

/**
 * A network factored with every link under one row. Link currents are unknowns of their own (modified nodal
 * analysis; Ho, Ruehli & Brennan 1975), so that opening a link is a change of its row, with no subtraction of
 * nearly equal numbers. Links that are open are left out of the matrix.
 */
export class Factored {
  readonly nodeCount: number
  readonly length: number
  readonly solution: Vector
  private readonly lu: SparseLu
  private readonly unknownOfLink: Int32Array
  private readonly rowResponses = new Map<number, Vector>()
  private readonly pairResponses = new Map<number, Vector>()
  private readonly workRe: Float64Array
  private readonly workIm: Float64Array
  private readonly outRe: Float64Array
  private readonly outIm: Float64Array

  constructor(readonly network: Network, readonly analysis: Analysis, readonly rows: readonly Row[]) {
    const nodeCount = (this.nodeCount = network.earthNode)
    this.unknownOfLink = new Int32Array(network.links.length).fill(-1)
    let size = nodeCount
    rows.forEach((row, link) => {
      if (row) this.unknownOfLink[link] = size++
    })
    this.length = nodeCount + 1 + network.links.length
    this.lu = SparseLu.factor(this.assemble(size))
    this.workRe = new Float64Array(size)
    this.workIm = new Float64Array(size)
    this.outRe = new Float64Array(size)
    this.outIm = new Float64Array(size)
    rows.forEach((row, link) => {
      if (!row) return
      this.workRe[this.unknownOfLink[link]] = row.emfRe
      this.workIm[this.unknownOfLink[link]] = row.emfIm
    })
    this.solution = this.solve()
  }

  /** Entries of the factors: the work of one solve. */
  get entries(): number {
    return this.lu.entries
  }

  isOpen(link: number): boolean {
    return this.unknownOfLink[link] < 0
  }

  /** What one unit of electromotive force in the row of a link does; of an open link, one ampere fed in at its ends. */
  rowResponse(link: number): Vector {
    const known = this.rowResponses.get(link)
    if (known) return known
    const unknown = this.unknownOfLink[link]
    let response: Vector
    if (unknown >= 0) {
      this.workRe.fill(0)
      this.workIm.fill(0)
      this.workRe[unknown] = 1
      response = this.solve()
    } else {
      const { a, b } = this.network.links[link]
      response = this.inject(a, b)
      response.re[this.nodeCount + 1 + link] = -1
    }
    this.rowResponses.set(link, response)
    return response
  }

  /** What one ampere does that is fed in at node `a` and taken out at node `b`. */
  pairResponse(a: number, b: number): Vector {
    const key = a * (this.nodeCount + 1) + b
    const known = this.pairResponses.get(key)
    if (known) return known
    const response = this.inject(a, b)
    this.pairResponses.set(key, response)
    return response
  }

  /** What is felt of a vector, in the order of `senses` (always the same for one network and analysis). */
  felt(vector: Vector, senses: readonly Sense[]): Felt {
    if (vector.felt) return vector.felt
    const { links } = this.network
    const felt = { re: new Float64Array(senses.length), im: new Float64Array(senses.length) }
    senses.forEach(({ link, of }, s) => {
      const { a, b } = links[link]
      const at = this.nodeCount + 1 + link
      felt.re[s] = of === 'amps' ? vector.re[at] : vector.re[a] - vector.re[b]
      felt.im[s] = of === 'amps' ? vector.im[at] : vector.im[a] - vector.im[b]
    })
    vector.felt = felt
    return felt
  }

  private inject(a: number, b: number): Vector {
    this.workRe.fill(0)
    this.workIm.fill(0)
    if (a !== b) {
      if (a < this.nodeCount) this.workRe[a] = 1
      if (b < this.nodeCount) this.workRe[b] = -1
    }
    return this.solve()
  }

  private solve(): Vector {
    this.lu.solve(this.workRe, this.workIm, this.outRe, this.outIm)
    const re = new Float64Array(this.length)
    const im = new Float64Array(this.length)
    re.set(this.outRe.subarray(0, this.nodeCount))
    im.set(this.outIm.subarray(0, this.nodeCount))
    const { unknownOfLink } = this
    for (let link = 0, at = this.nodeCount + 1; link < unknownOfLink.length; link++, at++) {
      const unknown = unknownOfLink[link]
      if (unknown < 0) continue
      re[at] = this.outRe[unknown]
      im[at] = this.outIm[unknown]
    }
    return { re, im, felt: null }
  }

  private assemble(size: number): { size: number; rows: number[]; columns: number[]; re: number[]; im: number[] } {
    const matrix = { size, rows: [] as number[], columns: [] as number[], re: [] as number[], im: [] as number[] }
    const put = (row: number, column: number, re: number, im = 0): void => {
      matrix.rows.push(row)
      matrix.columns.push(column)
      matrix.re.push(re)
      matrix.im.push(im)
    }
    const { nodeCount, unknownOfLink } = this
    for (let node = 0; node < nodeCount; node++) put(node, node, leakageSiemens)
    this.network.links.forEach((link, number) => {
      const row = this.rows[number]
      const current = unknownOfLink[number]
      if (!row) return
      if (link.a < nodeCount) put(link.a, current, 1)
      if (link.b < nodeCount) put(link.b, current, -1)
      row.links.forEach((of, term) => {
        const { a, b } = this.network.links[of]
        const vRe = row.voltsRe[term]
        const vIm = row.voltsIm[term]
        if (vRe !== 0 || vIm !== 0) {
          if (a < nodeCount) put(current, a, vRe, vIm)
          if (b < nodeCount) put(current, b, -vRe, -vIm)
        }
        const other = unknownOfLink[of]
        const zRe = row.ohmsRe[term]
        const zIm = row.ohmsIm[term]
        if (other >= 0 && (zRe !== 0 || zIm !== 0)) put(current, other, -zRe, -zIm)
      })
    })
    return matrix
  }
}
