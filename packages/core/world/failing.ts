import type { Settled } from '../circuit/circuit'
import { clampAmps } from '../circuit/meter'

/** How a unit fails in a call: something does not do what it should, or something runs that should rest. */
export interface Failing {
  readonly call: string
  readonly lacks: boolean
  readonly runsOn: boolean
}

/** A heater that takes so many amps more or less than it should is noticed. */
const noticedAmps = 1

/** How a unit differs, for all to see, from the same unit with nothing wrong. */
export function failingIn(faulty: Settled, healthy: Settled): Failing {
  const { circuit, states } = faulty
  const { links, linkNumbers } = circuit.network
  const moving = [...circuit.diagram.parts.values()].flatMap(({ id, kind }) => {
    const link = kind.moving === undefined ? undefined : linkNumbers.get(`${id}/${kind.moving}`)
    return link !== undefined && states[link] !== healthy.states[link] ? [link] : []
  })
  const heating = links.flatMap(({ part, role }, link) =>
    part?.kind.symbol === 'heater' && role === 'load'
      ? [clampAmps(faulty, link) - clampAmps(healthy, link)]
      : [],
  )
  const rests = (link: number): boolean => healthy.states[link] === links[link].rest
  return {
    call: circuit.situation.call,
    lacks:
      faulty.oscillates || moving.some((link) => !rests(link)) || heating.some((amps) => amps < -noticedAmps),
    runsOn: moving.some(rests) || heating.some((amps) => amps > noticedAmps),
  }
}
