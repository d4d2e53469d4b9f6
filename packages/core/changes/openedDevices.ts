import type { Settled } from '../circuit/circuit'
import type { Part } from '../diagram/diagram'

/** Fuses and breakers that do not hold in a settled state. */
export const openedDevices = ({ circuit, states }: Settled): readonly Part[] => [
  ...new Set(
    circuit.network.links.flatMap(({ part, role, rest }, link) =>
      part?.kind.overcurrent && (role === 'fuse' || role === 'contact') && states[link] !== rest
        ? [part]
        : [],
    ),
  ),
]
