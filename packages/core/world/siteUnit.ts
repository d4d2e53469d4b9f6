import type { Diagram, Part } from '../diagram/diagram'
import { withValues } from '../visit/unitAsMeasured'
import type { Conditions } from '../parts/kind'
import { between, oneOf, type Random } from './random'

/** What of a world is unlike the drawing; each alone, or all together. */
export interface Unlikeness {
  /** The building's volts, within six per cent. */
  readonly supply: boolean
  /** Transformers within six per cent, coils within fifteen, heaters within eight and now and then an element fewer. */
  readonly plates: boolean
  /** Motors at 40 to 105 per cent of their plates. */
  readonly loads: boolean
  /** Shorts and bad connections of any resistance, trips that stay, motors that failed from rest. */
  readonly faults: boolean
  /** Weather and water of any day and season, whatever a call of the drawing assumes. */
  readonly weather: boolean
  /** Readings rounded as people type them, two in a hundred typed wrong by ten, three in a hundred blunders. */
  readonly readings: boolean
}

export const asDrawn: Unlikeness = {
  supply: false,
  plates: false,
  loads: false,
  faults: false,
  weather: false,
  readings: false,
}

export const everythingUnlike: Unlikeness = {
  supply: true,
  plates: true,
  loads: true,
  faults: true,
  weather: true,
  readings: true,
}

/** Chance that a heater has one of its two elements fewer than drawn. */
const fewerElements = 0.05

/** A unit as it stands on some roof: its parts are not what their plates say, within what the trade meets. */
export function unitOnSite(diagram: Diagram, { plates, loads }: Unlikeness, random: Random): Diagram {
  const values = new Map<string, Record<string, number>>()
  for (const part of diagram.parts.values()) {
    const own = { ...(plates ? platesOf(part, random) : {}), ...(loads ? loadOf(part, random) : {}) }
    if (Object.keys(own).length > 0) values.set(part.id, own)
  }
  return withValues(diagram, values)
}

/**
 * Surroundings of the site, in the units of their conditions; those that no part of the unit answers to as
 * well.
 */
export function siteSurroundings({ weather }: Unlikeness, random: Random): Conditions {
  if (!weather) return {}
  const coldWater = random() < 0.5
  return {
    outdoorDryBulb: Math.round(between(random, 5, 105)),
    returnDryBulb: Math.round(between(random, 66, 80)),
    outdoorHumidity: Math.round(between(random, 15, 95)),
    returnHumidity: Math.round(between(random, 25, 65)),
    pipe: Math.round(coldWater ? between(random, 42, 54) : between(random, 105, 145)),
  }
}

/** The building's volts against those of its system. */
export const siteSupplyShare = ({ supply }: Unlikeness, random: Random): number =>
  supply ? between(random, 0.94, 1.06) : 1

function platesOf({ kind, settings }: Part, random: Random): Record<string, number> {
  const off = (name: string, share: number): Record<string, number> =>
    name in kind.settings ? { [name]: settings.number(name) * between(random, 1 - share, 1 + share) } : {}
  if (kind.fullLoadAmps) return off('secondary', 0.06)
  if (kind.symbol === 'heater') {
    const fewer = random() < fewerElements ? 0.5 : 1
    const { watts } = off('watts', 0.08)
    return watts === undefined ? {} : { watts: watts * fewer }
  }
  return kind.symbol === 'coil' ? off('va', 0.15) : {}
}

/** The share of its plate that a motor draws while it turns. */
const loadOf = ({ kind }: Part, random: Random): Record<string, number> =>
  typeof kind.settings.load === 'number' ? { load: oneOf(random, [0.4, 0.55, 0.7, 0.8, 0.9, 1, 1.05]) } : {}
