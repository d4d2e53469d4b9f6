import type { Circuit } from '../circuit/circuit'
import type { Part } from '../diagram/diagram'
import { dropOutShare, pullInShare } from '../parts/coil'
import type { Effect } from '../parts/effect'

/** A coil that does not get the volts to pull in while others pull in with it. */
export interface WeakPull {
  readonly part: Part
  /** Share of its rated volts that it gets at that instant. */
  readonly share: number
}

const out = new Float64Array(2)

/**
 * Coils of contactors that are called: rated volts, volt-amperes that they hold with, and how many times that
 * pulls in.
 */
export function calledCoils({ healthy, network }: Circuit) {
  return network.links.flatMap(({ part, role, id, a, b }, link) => {
    if (!part?.kind.inrushTimes || role !== 'coil') return []
    healthy.ac.volts(a, b, out)
    const rated = part.settings.number('coilVolts')
    const isCalled = Math.hypot(out[0], out[1]) > dropOutShare * rated
    const holds = part.settings.number('va')
    return isCalled ? [{ part, id, link, rated, holds, times: part.kind.inrushTimes }] : []
  })
}

/**
 * Coils that would not surely come in if every contactor of a call pulled in at the same instant: each draws its inrush,
 * and the transformer’s own impedance takes the rest. Below 85 % of its volts (IEC 60947-4-1) a coil may chatter.
 */
export function weakPulls(circuit: Circuit): readonly WeakPull[] {
  const { network } = circuit
  const coils = calledCoils(circuit)
  const pulling = coils.map(({ id, rated, times, holds }): Effect => ({
    does: 'ohms',
    branch: id,
    ohms: rated ** 2 / (times * holds),
  }))
  const first = circuit.atFirst(pulling)
  return coils.flatMap(({ part, link, rated }) => {
    const { a, b } = network.links[link]
    first.ac.volts(a, b, out)
    const share = Math.hypot(out[0], out[1]) / rated
    return share < pullInShare ? [{ part, share }] : []
  })
}
