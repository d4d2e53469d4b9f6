import type { Factored, Vector } from './factored'
import { substituteSmall, type SmallLu } from './smallLu'
import type { Update, Variation } from './variation'

/**
 * Many variations, looked at between one pair of nodes after another. Between a pair a variation comes down
 * to a few
 * numbers: what the response of each changed row has there, and what each changed row makes of the pair's own
 * response.
 * They are gathered once a pair, each once however many variations share it, and lie side by side; what is
 * left for each
 * variation is the arithmetic of `Variation.volts` and `Variation.impedance`, in the same order, without a
 * walk through memory.
 */
export class Sweep {
  /**
   * By the place of the variation: volts from a to b, and the impedance seen there with every source dead,
   * ohms.
   */
  readonly voltsRe: Float64Array
  readonly voltsIm: Float64Array
  readonly ohmsRe: Float64Array
  readonly ohmsIm: Float64Array
  private readonly groups: readonly Group[]

  constructor(variations: readonly Variation[]) {
    this.voltsRe = new Float64Array(variations.length)
    this.voltsIm = new Float64Array(variations.length)
    this.ohmsRe = new Float64Array(variations.length)
    this.ohmsIm = new Float64Array(variations.length)
    const byBase = new Map<Factored, number[]>()
    variations.forEach(({ base }, place) => {
      const group = byBase.get(base)
      if (group) group.push(place)
      else byBase.set(base, [place])
    })
    this.groups = [...byBase].map(
      ([base, places]) =>
        new Group(
          base,
          places,
          places.map((place) => variations[place].update),
        ),
    )
  }

  /** Fills the volts of every variation. */
  volts(a: number, b: number): void {
    for (const group of this.groups) group.volts(a, b, this.voltsRe, this.voltsIm)
  }

  /**
   * Fills the impedance of every variation, or only of those that have at least so many volts there: `volts`
   * comes first then.
   */
  impedance(a: number, b: number, fromVolts = 0): void {
    const { voltsRe, voltsIm } = this
    for (const group of this.groups)
      group.impedance(
        a,
        b,
        (v) => Math.abs(voltsRe[v]) + Math.abs(voltsIm[v]) >= fromVolts,
        this.ohmsRe,
        this.ohmsIm,
      )
  }
}

/** Gives each different thing a number, in the order in which they come. */
class Numbering<T> {
  readonly all: T[] = []
  private readonly numbers = new Map<unknown, number>()

  of(key: unknown, thing: T): number {
    const known = this.numbers.get(key)
    if (known !== undefined) return known
    this.numbers.set(key, this.all.length)
    return this.all.push(thing) - 1
  }
}

/**
 * Where a changed row looks: between two places of a vector, and at a current, −1 for a join that has none.
 */
interface Port {
  readonly a: number
  readonly b: number
  readonly current: number
}

/** The variations of one factorisation, written side by side. */
class Group {
  private readonly responses: readonly Vector[]
  private readonly ports: readonly Port[]
  /** Of each variation: where its changes begin, and where the factors of its own small system do. */
  private readonly changeStart: Int32Array
  private readonly factorStart: Int32Array
  /** Of each change: its response, its weight, where its terms begin. */
  private readonly response: Int32Array
  private readonly weightRe: Float64Array
  private readonly weightIm: Float64Array
  private readonly termStart: Int32Array
  private readonly factors: SmallLu
  /** Of each term of a row: Σ volts·V − ohms·I. */
  private readonly termPort: Int32Array
  private readonly terms: {
    readonly voltsRe: Float64Array
    readonly voltsIm: Float64Array
    readonly ohmsRe: Float64Array
    readonly ohmsIm: Float64Array
  }
  /** What is gathered for a pair: of the responses, and of the pair's own response at the ports. */
  private readonly ofResponse: { readonly re: Float64Array; readonly im: Float64Array }
  private readonly atPort: {
    readonly voltsRe: Float64Array
    readonly voltsIm: Float64Array
    readonly ampsRe: Float64Array
    readonly ampsIm: Float64Array
  }
  /** Of one variation at a time. */
  private readonly work: { readonly re: Float64Array; readonly im: Float64Array }

  constructor(
    private readonly base: Factored,
    private readonly places: readonly number[],
    updates: readonly Update[],
  ) {
    const responses = new Numbering<Vector>()
    const ports = new Numbering<Port>()
    const portOfLink = (link: number): number => {
      const { a, b } = base.network.links[link]
      return ports.of(link, { a, b, current: base.placeOf(link) })
    }
    const list = {
      response: [] as number[],
      order: [] as number[],
      weightRe: [] as number[],
      weightIm: [] as number[],
      factorRe: [] as number[],
      factorIm: [] as number[],
    }
    const term = {
      start: [0],
      port: [] as number[],
      voltsRe: [] as number[],
      voltsIm: [] as number[],
      ohmsRe: [] as number[],
      ohmsIm: [] as number[],
    }
    const addTerm = (
      port: number,
      voltsRe: number,
      voltsIm: number,
      ohmsRe: number,
      ohmsIm: number,
    ): void => {
      term.port.push(port)
      term.voltsRe.push(voltsRe)
      term.voltsIm.push(voltsIm)
      term.ohmsRe.push(ohmsRe)
      term.ohmsIm.push(ohmsIm)
    }
    const changeStart = [0]
    const factorStart = [0]
    let most = 0
    for (const {
      size,
      changes,
      responses: own,
      weightRe,
      weightIm,
      factors: { matrixRe, matrixIm, order },
    } of updates) {
      for (let j = 0; j < size; j++) {
        const { link, a, b, row } = changes[j]
        list.response.push(responses.of(own[j], own[j]))
        list.order.push(order[j])
        list.weightRe.push(weightRe[j])
        list.weightIm.push(weightIm[j])
        // a join is felt by its volts alone, an opened link by its current
        if (link < 0) addTerm(ports.of(`${a} ${b}`, { a, b, current: -1 }), 1, 0, 0, 0)
        else if (!row) addTerm(portOfLink(link), 0, 0, -1, 0)
        else
          row.links.forEach((of, t) => {
            addTerm(portOfLink(of), row.voltsRe[t], row.voltsIm[t], row.ohmsRe[t], row.ohmsIm[t])
          })
        term.start.push(term.port.length)
      }
      for (let k = 0; k < size * size; k++) {
        list.factorRe.push(matrixRe[k])
        list.factorIm.push(matrixIm[k])
      }
      changeStart.push(list.response.length)
      factorStart.push(list.factorRe.length)
      most = Math.max(most, size)
    }
    this.responses = responses.all
    this.ports = ports.all
    this.changeStart = Int32Array.from(changeStart)
    this.factorStart = Int32Array.from(factorStart)
    this.response = Int32Array.from(list.response)
    this.weightRe = Float64Array.from(list.weightRe)
    this.weightIm = Float64Array.from(list.weightIm)
    this.factors = {
      matrixRe: Float64Array.from(list.factorRe),
      matrixIm: Float64Array.from(list.factorIm),
      order: Int32Array.from(list.order),
    }
    this.termStart = Int32Array.from(term.start)
    this.termPort = Int32Array.from(term.port)
    this.terms = {
      voltsRe: Float64Array.from(term.voltsRe),
      voltsIm: Float64Array.from(term.voltsIm),
      ohmsRe: Float64Array.from(term.ohmsRe),
      ohmsIm: Float64Array.from(term.ohmsIm),
    }
    const room = (count: number): Float64Array => new Float64Array(count)
    this.ofResponse = { re: room(responses.all.length), im: room(responses.all.length) }
    this.atPort = {
      voltsRe: room(ports.all.length),
      voltsIm: room(ports.all.length),
      ampsRe: room(ports.all.length),
      ampsIm: room(ports.all.length),
    }
    this.work = { re: room(most), im: room(most) }
  }

  volts(a: number, b: number, outRe: Float64Array, outIm: Float64Array): void {
    this.gatherResponses(a, b)
    const {
      places,
      changeStart,
      response,
      weightRe,
      weightIm,
      ofResponse: { re, im },
      base: { solution },
    } = this
    const ownRe = solution.re[a] - solution.re[b]
    const ownIm = solution.im[a] - solution.im[b]
    for (let v = 0; v < places.length; v++) {
      let vRe = ownRe
      let vIm = ownIm
      for (let c = changeStart[v]; c < changeStart[v + 1]; c++) {
        const r = response[c]
        vRe -= weightRe[c] * re[r] - weightIm[c] * im[r]
        vIm -= weightRe[c] * im[r] + weightIm[c] * re[r]
      }
      outRe[places[v]] = vRe
      outIm[places[v]] = vIm
    }
  }

  impedance(
    a: number,
    b: number,
    isWanted: (place: number) => boolean,
    outRe: Float64Array,
    outIm: Float64Array,
  ): void {
    const pair = this.base.passingPairResponse(a, b)
    this.gatherResponses(a, b)
    this.gatherPorts(pair)
    const {
      places,
      changeStart,
      factorStart,
      factors,
      response,
      work,
      ofResponse: { re, im },
    } = this
    const ownRe = pair.re[a] - pair.re[b]
    const ownIm = pair.im[a] - pair.im[b]
    for (let v = 0; v < places.length; v++) {
      if (!isWanted(places[v])) continue
      const start = changeStart[v]
      const size = changeStart[v + 1] - start
      for (let i = 0; i < size; i++) this.apply(start + i, i)
      substituteSmall(factors, size, factorStart[v], start, work.re, work.im)
      let zRe = ownRe
      let zIm = ownIm
      for (let j = 0; j < size; j++) {
        const r = response[start + j]
        zRe -= work.re[j] * re[r] - work.im[j] * im[r]
        zIm -= work.re[j] * im[r] + work.im[j] * re[r]
      }
      outRe[places[v]] = zRe
      outIm[places[v]] = zIm
    }
  }

  private gatherResponses(a: number, b: number): void {
    const { responses, ofResponse } = this
    for (let r = 0; r < responses.length; r++) {
      const { re, im } = responses[r]
      ofResponse.re[r] = re[a] - re[b]
      ofResponse.im[r] = im[a] - im[b]
    }
  }

  private gatherPorts({ re, im }: Vector): void {
    const { ports, atPort } = this
    for (let p = 0; p < ports.length; p++) {
      const { a, b, current } = ports[p]
      atPort.voltsRe[p] = re[a] - re[b]
      atPort.voltsIm[p] = im[a] - im[b]
      atPort.ampsRe[p] = current < 0 ? 0 : re[current]
      atPort.ampsIm[p] = current < 0 ? 0 : im[current]
    }
  }

  /** What a changed row makes of the response of the pair, into the working space. */
  private apply(change: number, to: number): void {
    const { termStart, termPort, terms, atPort, work } = this
    let re = 0
    let im = 0
    for (let t = termStart[change]; t < termStart[change + 1]; t++) {
      const p = termPort[t]
      re +=
        terms.voltsRe[t] * atPort.voltsRe[p] -
        terms.voltsIm[t] * atPort.voltsIm[p] -
        (terms.ohmsRe[t] * atPort.ampsRe[p] - terms.ohmsIm[t] * atPort.ampsIm[p])
      im +=
        terms.voltsRe[t] * atPort.voltsIm[p] +
        terms.voltsIm[t] * atPort.voltsRe[p] -
        (terms.ohmsRe[t] * atPort.ampsIm[p] + terms.ohmsIm[t] * atPort.ampsRe[p])
    }
    work.re[to] = re
    work.im[to] = im
  }
}
