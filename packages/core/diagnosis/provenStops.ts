import type { Stop, Strip } from './strip'

/** So many proven stops in a row are worth folding. */
const foldedFrom = 3

/** From this many volts to common a stop must be live for its path to be proven. */
const hotFromVolts = 2

/**
 * How many stops from the source on are proven and lie behind the search: the last live one stays, so does
 * the last that was read, and any that a lead is to go to. None where nothing is open.
 */
export function provenBefore(
  stops: readonly Pick<Stop, 'point' | 'state' | 'contradicted' | 'measured'>[],
  leads: readonly string[],
): number {
  const end = stops.findIndex(
    ({ point, state, contradicted }) => state !== 'live' || contradicted || leads.includes(point),
  )
  const live = stops.at(end)?.state === 'live' ? end : end - 1
  const read = stops.slice(0, live + 1).findLastIndex(({ measured }) => measured !== null)
  const proven = read < 0 ? live : read
  return proven >= foldedFrom ? proven : 0
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
