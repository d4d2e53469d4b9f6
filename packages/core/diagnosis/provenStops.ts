import { hotFromVolts } from './hotFromVolts'
import type { Stop, Strip } from './strip'

/** So many proven stops in a row are worth folding. */
const foldedFrom = 3

type StopSeen = Pick<Stop, 'point' | 'state' | 'contradicted' | 'measured'>

const isDead = ({ state, contradicted }: StopSeen): boolean => state === 'dead' || contradicted

/**
 * How many stops from the source on lie behind the search: those before the last that was read live with
 * nothing dead above it, or before the last that must be live. None that a lead is to go to, and none where
 * nothing is open.
 */
export function provenBefore(stops: readonly StopSeen[], leads: readonly string[]): number {
  const lead = stops.findIndex(({ point }) => leads.includes(point))
  const dead = stops.findIndex(isDead)
  const open = dead < 0 ? stops : stops.slice(0, dead)
  if (dead < 0 && open.every(({ state }) => state === 'live')) return 0
  const read = open.findLastIndex(({ state, measured }) => state === 'live' && measured !== null)
  const live = open.findIndex(({ state }) => state !== 'live')
  const behind = read >= 0 ? read : (live < 0 ? open.length : live) - 1
  const proven = lead < 0 ? behind : Math.min(behind, lead)
  return proven >= foldedFrom ? proven : 0
}

/** The stop to bring into view: where a lead is to go, what reads as it should not, or where live ends. */
export function focusOf(strips: readonly Strip[], lead: string): string {
  const stops = strips.at(searchedStrip(strips, lead))?.stops ?? []
  const at =
    stops.find(({ point }) => point === lead) ??
    stops.find(({ contradicted }) => contradicted) ??
    stops.find(({ state }, k) => k > 0 && state !== 'live')
  return at?.point ?? ''
}

/**
 * The place of the path that the search is on: where a lead is to go, else where something reads as it should
 * not, else the first that is not proven to its end.
 */
export function searchedStrip(strips: readonly Strip[], lead: string): number {
  const places = [
    strips.findIndex(({ stops }) => stops.some(({ point }) => point === lead)),
    strips.findIndex(({ stops }) => stops.some(({ contradicted }) => contradicted)),
    strips.findIndex((strip) => !isProven(strip)),
  ]
  return places.find((place) => place >= 0) ?? 0
}

/** Whether a path is live from end to end, as it should be. */
const isProven = ({ stops }: Strip): boolean =>
  stops.every(
    ({ state, contradicted, expected }) => !contradicted && (state === 'live' || expected <= hotFromVolts),
  )
