import type { Diagram } from '../diagram/diagram'
import { plateRatings } from '../diagram/plateRatings'
import type { Entry } from './log'
import type { VisitState } from './visitState'

/** What a report says that the log does not: whose it is, of what, and who the people are. */
export interface ReportAbout {
  readonly shop: string
  readonly unit: {
    readonly label: string
    readonly place: string
    readonly make: string
    readonly serial: string
    readonly installed: string
  }
  readonly site: { readonly name: string; readonly address: string }
  /** Names by identity; whoever is not in it is not named. */
  readonly people: ReadonlyMap<string, string>
  /** Minutes that the time of the place is ahead of UTC. */
  readonly utcOffsetMinutes: number
}

export interface ReportHead {
  readonly shop: string
  readonly technicians: readonly string[]
  /** Each day worked, from the first entry to the last. */
  readonly times: readonly string[]
  readonly unit: string
  readonly site: string
  readonly circuit: string
  /** Ratings of its plate, as far as they were read. */
  readonly plate: string
}

export function reportHead(state: VisitState, diagram: Diagram, about: ReportAbout): ReportHead {
  const { shop, unit, site, people, utcOffsetMinutes } = about
  const there = onSite(state.entries)
  const named = there.flatMap(({ by }) => people.get(by) ?? [])
  return {
    shop,
    technicians: [...new Set(named)],
    times: daysWorked(there, utcOffsetMinutes),
    unit: [
      unit.label,
      unit.place,
      unit.make,
      unit.serial && `serial ${unit.serial}`,
      unit.installed && `installed ${unit.installed}`,
    ]
      .filter(Boolean)
      .join(', '),
    site: [site.name, site.address].filter(Boolean).join(', '),
    circuit: diagram.title,
    plate: plateWords(diagram),
  }
}

/** What was entered from the arrival on: whoever took the call was not at the unit. */
const onSite = (entries: VisitState['entries']): VisitState['entries'] =>
  entries.slice(
    Math.max(
      0,
      entries.findIndex(({ body }) => body.kind === 'arrived'),
    ),
  )

const minuteMs = 60_000

/** “2026-11-27, 08:10 to 10:45” for each day, by the time of the place. */
function daysWorked(entries: readonly Entry[], utcOffsetMinutes: number): readonly string[] {
  const days = new Map<string, { from: string; to: string }>()
  for (const { clock } of entries) {
    const local = new Date(clock.wall + utcOffsetMinutes * minuteMs).toISOString()
    const [day, time] = [local.slice(0, 10), local.slice(11, 16)]
    const known = days.get(day)
    days.set(day, {
      from: known && known.from < time ? known.from : time,
      to: known && known.to > time ? known.to : time,
    })
  }
  return [...days]
    .sort()
    .map(([day, { from, to }]) => (from === to ? `${day}, ${from}` : `${day}, ${from} to ${to}`))
}

function plateWords(diagram: Diagram): string {
  const ratings = plateRatings(diagram)
  const read = ratings
    .filter(({ isRead }) => isRead)
    .map(({ part, value, unit }) => `${part} ${value} ${unit}`)
  const unread = ratings.length - read.length
  return [read.join(', '), unread > 0 ? `${unread} ratings not read` : ''].filter(Boolean).join('; ')
}
