import type { Fault } from '../parts/effect'
import { conductors } from './conductors'
import { partOfPoint, type Diagram, type Wire } from './diagram'
import { boardHot, callTerminals } from './roles'
import { wireName } from './wireName'

/** What a look at a lead shows in which somebody has put a switch. */
export const addedSwitch = 'added-switch'

/**
 * A switch that the drawing does not have, open in a lead. Installers put them where a call runs, so that
 * what they watch stops it: a float, a freeze or a smoke switch, a door. A reading cannot tell one from a
 * lead that is broken; an eye can.
 */
export const addedFaults = (diagram: Diagram): readonly Fault[] =>
  leadsOfCalls(diagram).map((wire) => ({
    id: `${wire.id}:added`,
    class: 'added',
    countedWith: 'added',
    words: `Wire ${wireName(wire)}: a switch in it that is not on the drawing, open`,
    of: wire.id,
    prior: 1,
    effects: [{ does: 'open', branch: wire.id }],
    shows: [addedSwitch],
    cause: 'added by an installer: find what it watches and why it is open; it may be a guard',
    prove: 'follow the lead from end to end; volts across what is in it: all of them while it is open',
  }))

/** The leads that give a call its power and those it runs along, up to the first thing that may stop it. */
function leadsOfCalls(diagram: Diagram): readonly Wire[] {
  const conductorOf = conductors(diagram)
  const calls = new Set(callTerminals(diagram).map(conductorOf))
  const hot = boardHot(diagram)
  const givers = new Set(
    [...diagram.parts.values()].flatMap(({ id, kind, settings }) =>
      kind.calls?.(settings).length ? [id] : [],
    ),
  )
  const feedsCalls = ({ from, to }: Wire): boolean =>
    (from === hot && givers.has(partOfPoint(to))) || (to === hot && givers.has(partOfPoint(from)))
  return [...diagram.wires.values()].filter(
    (wire) => wire.wiring === 'control' && (calls.has(conductorOf(wire.from)) || feedsCalls(wire)),
  )
}
