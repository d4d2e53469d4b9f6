import type { Settled } from '../circuit/circuit'
import { directNetwork } from '../circuit/direct'
import { leakageSiemens } from '../circuit/factored'
import type { Analysis, Network, Row } from '../circuit/network'
import type { Effect } from '../parts/effect'
import { supplyHertz } from '../physics/supplyHertz'

/** A netlist for `ngspice`, settled contacts as resistances; see `spiceNetlist`. */
class Netlist {
  private readonly lines: string[] = []
  private inner = 0

  constructor(
    private readonly network: Network,
    private readonly rows: readonly Row[],
    private readonly analysis: Analysis,
  ) {}

  text(title: string, ask: readonly string[]): string {
    const { network } = this
    // the title is the first line of a netlist and does not count as a comment
    const head = [title, ...network.nodeNames.map((name, node) => `* node ${node + 1} = ${name}`)]
    network.nodeNames.forEach((_, node) => {
      this.lines.push(`Rleak${node + 1} ${node + 1} 0 ${1 / leakageSiemens}`)
    })
    network.links.forEach((_, link) => {
      this.link(link)
    })
    return [
      ...head,
      ...this.lines,
      '.control',
      'set numdgt=15',
      ...ask,
      'print all',
      'quit 0',
      '.endc',
      '.end',
      '',
    ].join('\n')
  }

  private node(node: number): string {
    return node === this.network.earthNode ? '0' : String(node + 1)
  }

  private fresh(): string {
    this.inner += 1
    return `x${this.inner}`
  }

  private link(link: number): void {
    const row = this.rows[link]
    if (!row) return
    const { a, b, id } = this.network.links[link]
    this.lines.push(`* link ${link} = ${id}`)
    const own = row.links.indexOf(link)
    const after = this.fresh()
    this.lines.push(`V${link} ${this.node(a)} ${after} dc 0 ac 0`)
    if (row.voltsRe[own] === 1 && row.voltsIm[own] === 0)
      this.voltageForm(link, row, own, after, this.node(b))
    else this.currentForm(link, row, own, after, this.node(b))
  }

  /** u = Σ ohms·I − Σ volts·u of the others + emf: everything in series. */
  private voltageForm(link: number, row: NonNullable<Row>, own: number, from: string, to: string): void {
    let at = from
    row.links.forEach((of, term) => {
      const re = row.ohmsRe[term]
      const im = row.ohmsIm[term]
      if (term === own) {
        if (re !== 0 || im !== 0) at = this.series(`${link}`, at, re, im)
        return
      }
      if ((re !== 0 || im !== 0) && this.rows[of]) {
        // what another current drops here: a copy of it through an impedance of its own, brought over in
        // volts
        const copy = this.fresh()
        this.lines.push(`F${link}t${term} 0 ${copy} V${of} 1`)
        const end = this.series(`${link}c${term}`, copy, re, im)
        this.lines.push(`V${link}e${term} ${end} 0 dc 0 ac 0`)
        const next = this.fresh()
        this.lines.push(`E${link}t${term} ${at} ${next} ${copy} 0 1`)
        at = next
      }
      if (row.voltsRe[term] !== 0) {
        const other = this.network.links[of]
        const next = this.fresh()
        this.lines.push(
          `E${link}u${term} ${at} ${next} ${this.node(other.a)} ${this.node(other.b)} ${-row.voltsRe[term]}`,
        )
        at = next
      }
    })
    const size = Math.hypot(row.emfRe, row.emfIm)
    const degrees = (Math.atan2(row.emfIm, row.emfRe) * 180) / Math.PI
    this.lines.push(
      this.analysis === 'ac'
        ? `V${link}s ${at} ${to} dc 0 ac ${size} ${degrees}`
        : `V${link}s ${at} ${to} dc ${row.emfRe}`,
    )
  }

  /** I = (volts·u − Σ ohms·I of the others) / ohms: everything in parallel. */
  private currentForm(link: number, row: NonNullable<Row>, own: number, from: string, to: string): void {
    const scale = row.ohmsRe[own]
    const yRe = row.voltsRe[own] / scale
    const yIm = row.voltsIm[own] / scale
    const square = yRe * yRe + yIm * yIm
    if (square > 0) {
      const end = this.series(`${link}`, from, yRe / square, -yIm / square)
      this.lines.push(`V${link}s ${end} ${to} dc 0 ac 0`)
    }
    row.links.forEach((of, term) => {
      if (term !== own && row.ohmsRe[term] !== 0 && this.rows[of])
        this.lines.push(`F${link}t${term} ${from} ${to} V${of} ${-row.ohmsRe[term] / scale}`)
    })
  }

  /** Resistance and reactance in series from `at`; gives the node behind them. */
  private series(name: string, at: string, re: number, im: number): string {
    let here = at
    if (re !== 0) {
      const next = this.fresh()
      this.lines.push(`R${name} ${here} ${next} ${re}`)
      here = next
    }
    if (im !== 0) {
      const next = this.fresh()
      const omega = 2 * Math.PI * supplyHertz
      this.lines.push(
        im > 0 ? `L${name} ${here} ${next} ${im / omega}` : `C${name} ${here} ${next} ${-1 / (omega * im)}`,
      )
      here = next
    }
    return here
  }
}

/**
 * Writes a settled state, reached with `effects` on top of its situation, as a netlist: node n is `* node n =
 * PART.TERMINAL`,
 * the current of link k is that of source `Vk`. Sources are root-mean-square phasors at supply frequency.
 */
export function spiceNetlist(
  settled: Settled,
  effects: readonly Effect[],
  analysis: Analysis = 'ac',
): string {
  const { network, rows } = directNetwork(settled, effects)
  const { diagram, situation } = settled.circuit
  const title = `${diagram.id}, call ${situation.call}, ${analysis === 'ac' ? 'supply frequency' : 'direct current'}`
  return new Netlist(network, rows[analysis], analysis).text(title, [
    analysis === 'ac' ? `ac lin 1 ${supplyHertz} ${supplyHertz}` : 'op',
  ])
}

/**
 * The direct-current netlist with every source dead and one ampere fed in at node `from`, out at `to`: volts
 * there are ohms.
 */
export function spiceOhms(settled: Settled, effects: readonly Effect[], from: string, to: string): string {
  const { network, rows } = directNetwork(settled, effects)
  const dead = rows.dc.map((row): Row => (row ? { ...row, emfRe: 0, emfIm: 0 } : null))
  const at = (name: string): string => (name === 'EARTH' ? '0' : String((network.nodes.get(name) ?? -1) + 1))
  const netlist = new Netlist(network, dead, 'dc').text(
    `${settled.circuit.diagram.id}, ohms ${from} to ${to}`,
    ['op'],
  )
  return netlist.replace('.control', `Iohms ${at(to)} ${at(from)} dc 1\n.control`)
}
