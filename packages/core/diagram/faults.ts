import { terminalOfPoint, type Diagram, type Part, type Wire } from './diagram'
import { earth, type Effect, type Fault, type PointId } from './effect'

/** Weights of what goes wrong with wires, against those of parts. */
const wirePrior = { open: 0.35, openInCable: 0.9, ground: 0.08, groundInCable: 0.3, crossed: 0.12 } as const
const chafedOhms = 0.3

/** Effects in a part's own names as effects in the unit's. */
export const inPart = (part: Part, effect: Effect): Effect => {
  // a branch of another part is named whole, PART/branch
  const branch = (name: string): string => (name.includes('/') ? name : `${part.id}/${name}`)
  const point = (name: string): PointId => (name === earth ? earth : `${part.id}.${name}`)
  switch (effect.does) {
    case 'open':
    case 'ohms':
    case 'hold':
      return { ...effect, branch: branch(effect.branch) }
    case 'join':
      return { ...effect, from: point(effect.from), to: point(effect.to) }
    case 'set':
      return { ...effect, part: part.id }
    case 'move':
      return effect
  }
}

const partFaults = (part: Part): readonly Fault[] =>
  part.kind.faults(part.settings).map((fault) => ({
    id: `${part.id}:${fault.name}`,
    words: `${part.words}: ${fault.words}`,
    prior: fault.prior,
    effects: fault.effects.map((effect) => inPart(part, effect)),
    cause: fault.cause ?? '',
    prove: fault.prove ?? '',
    of: part.id,
    ...(fault.shows ? { shows: fault.shows } : {}),
    ...(fault.clears ? { clears: fault.clears } : {}),
    ...(fault.unless ? { unless: fault.unless } : {}),
  }))

const inCable = (diagram: Diagram, wire: Wire): boolean =>
  diagram.points.get(wire.from)?.zone !== diagram.points.get(wire.to)?.zone

const wireName = (wire: Wire): string => `${wire.color} ${wire.number}, ${wire.from} to ${wire.to}`

function wireFaults(diagram: Diagram, wire: Wire): readonly Fault[] {
  const cable = inCable(diagram, wire)
  return [
    {
      id: `${wire.id}:open`,
      words: `Wire ${wireName(wire)}: open`,
      of: wire.id,
      prior: cable ? wirePrior.openInCable : wirePrior.open,
      effects: [{ does: 'open', branch: wire.id }],
      shows: 'off',
      cause: cable ? 'cut, pulled or not landed' : 'loose or burnt at a terminal',
      prove: 'same volts at both ends; power off, ohms end to end',
    },
    {
      id: `${wire.id}:grounded`,
      words: `Wire ${wireName(wire)}: chafed to metal`,
      of: wire.id,
      prior: cable ? wirePrior.groundInCable : wirePrior.ground,
      effects: [{ does: 'join', from: wire.from, to: earth, ohms: chafedOhms }],
      cause: 'sharp edge, hot copper, vibration',
      shows: 'chafed',
      prove: 'power off, both ends lifted, ohms to ground',
    },
  ]
}

/** Wires of one cable touch each other: every pair with the same two places at its ends. */
function crossedFaults(diagram: Diagram): readonly Fault[] {
  const cables = new Map<string, Wire[]>()
  for (const wire of diagram.wires.values()) {
    if (!inCable(diagram, wire) || wire.wiring === 'line') continue
    const zones = [diagram.points.get(wire.from)?.zone ?? '', diagram.points.get(wire.to)?.zone ?? '']
      .sort()
      .join(' ')
    cables.set(zones, [...(cables.get(zones) ?? []), wire])
  }
  return [...cables.values()].flatMap((cable) =>
    cable.flatMap((a, k) =>
      cable
        .slice(k + 1)
        .filter((b) => b.from !== a.from && b.to !== a.to)
        .map((b): Fault => ({
          id: `${a.id}:crossed:${b.id}`,
          words: `Wires ${a.color} ${a.number} and ${b.color} ${b.number} touch in their cable (${a.from}, ${b.from})`,
          of: a.id,
          touching: b.id,
          prior: wirePrior.crossed,
          effects: [{ does: 'join', from: a.from, to: b.from, ohms: chafedOhms }],
          cause: 'staple, garden tool, gnawing',
          shows: 'chafed',
          prove: 'power off, both ends lifted, ohms between the two',
        })),
    ),
  )
}

/** Terminals of a part that a lead may be landed on by mistake, in groups that look alike. */
function alikeTerminals(part: Part): readonly string[] {
  if (part.kind.kind === 'transformer') return part.settings.list('taps').map((tap) => `P${tap}`)
  if (part.kind.kind === 'smoke-detector') return ['NC', 'NO']
  if (part.kind.kind === 'changeover-sensor') return ['COLD', 'HOT']
  // the board's call terminals, R among them; common is a conductor of its own color
  if (part.id === 'TB') return part.settings.list('terminals').filter((name) => name !== 'C' && name !== 'N')
  return []
}

/** Weight of a lead on the wrong terminal: of a transformer's tap, left as delivered, and of any other. */
const landingPrior = { tap: 1.2, other: 0.06, alarm: 0.5 } as const

/** Leads that sit on the wrong one of several terminals that look alike. */
function landingFaults(diagram: Diagram): readonly Fault[] {
  return [...diagram.parts.values()].flatMap((part) => {
    const alike = alikeTerminals(part).map((name) => `${part.id}.${name}`)
    const isTap = part.kind.kind === 'transformer'
    return [...diagram.wires.values()].flatMap((wire) =>
      [wire.from, wire.to]
        .filter((end) => alike.includes(end))
        .flatMap((end) =>
          alike
            .filter((other) => other !== end && other !== wire.from && other !== wire.to)
            .map((other): Fault => ({
              id: isTap ? `${part.id}:on-${terminalOfPoint(other)}` : `${wire.id}:on:${other}`,
              words: isTap
                ? `${part.words}: primary lead on tap ${terminalOfPoint(other).slice(1)} V`
                : `Wire ${wireName(wire)}: landed on ${other} instead of ${end}`,
              of: isTap ? part.id : wire.id,
              prior: isTap
                ? landingPrior.tap
                : part.kind.kind === 'smoke-detector'
                  ? landingPrior.alarm
                  : landingPrior.other,
              effects: [{ does: 'move', wire: wire.id, end, to: other }],
              cause: isTap
                ? 'left as delivered, or a replacement wired like the old one'
                : 'miswired at the last work',
              prove: isTap ? 'compare the tap with the measured supply' : 'follow the lead to its terminal',
            })),
        ),
    )
  })
}

/** Polarised sensor leads landed the wrong way round, and two leads of one sensor off at the controller. */
function sensorFaults(diagram: Diagram): readonly Fault[] {
  const wires = [...diagram.wires.values()]
  return [...diagram.parts.values()]
    .filter((part) => part.kind.kind === 'humidity-sensor')
    .flatMap((part): readonly Fault[] => {
      const plus = wires.find((wire) => wire.from === `${part.id}.1+` || wire.to === `${part.id}.1+`)
      const minus = wires.find((wire) => wire.from === `${part.id}.1-` || wire.to === `${part.id}.1-`)
      if (!plus || !minus) return []
      return [
        {
          id: `${part.id}:leads-crossed`,
          words: `${part.words}: + and − leads crossed`,
          of: part.id,
          prior: 1.2,
          effects: [
            { does: 'move', wire: plus.id, end: `${part.id}.1+`, to: `${part.id}.1-` },
            { does: 'move', wire: minus.id, end: `${part.id}.1-`, to: `${part.id}.1+` },
          ],
          cause: 'lead colours that do not match at a joint',
          prove: 'follow both leads to their terminals; direct volts across the sensor',
        },
      ]
    })
}

/** Terminals of the board joined by somebody: R to a call that then never stops. */
function joinedFaults(diagram: Diagram): readonly Fault[] {
  const board = diagram.parts.get('TB')
  if (!board || !board.settings.list('terminals').includes('R')) return []
  return board.settings
    .list('terminals')
    .filter((name) => /^(G|Y1|Y2|W1|W2)$/.test(name))
    .map((name): Fault => ({
      id: `TB:R-joined-${name}`,
      words: `${board.words}: R joined to ${name} by somebody`,
      of: 'TB',
      prior: name === 'G' ? 0.3 : 0.05,
      effects: [{ does: 'join', from: 'TB.R', to: `TB.${name}`, ohms: 0.05 }],
      cause: 'a jumper left in, or put in so that ventilation never stops',
      prove: 'look at the board for a strange wire',
    }))
}

/** Every single thing that can be wrong with the unit's parts, wires, settings and landings. */
export function faultsOf(diagram: Diagram): readonly Fault[] {
  return [
    ...[...diagram.parts.values()].flatMap(partFaults),
    ...[...diagram.wires.values()].flatMap((wire) => wireFaults(diagram, wire)),
    ...crossedFaults(diagram),
    ...landingFaults(diagram),
    ...joinedFaults(diagram),
    ...sensorFaults(diagram),
  ]
}
