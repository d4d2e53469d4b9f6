import { ohmsRangeEnd, type Meter } from '../circuit/meter'

/** Chance that a reading is a blunder: wrong terminal, wrong function, a lead that does not touch. */
export const blunderChance = 0.03
/** Share of blunders that read nothing at all. */
const deadLeadShare = 0.4

/**
 * What a meter of high input resistance may show on a dead wire that runs beside live ones: some volts,
 * seldom many, and
 * none on a low-impedance one. By what a point is predicted to have it counts as dead.
 */
const phantom = { chance: 0.06, meanVolts: 4, mostVolts: 16, deadBelowVolts: 1 } as const

interface Tolerance {
  /** Share of the predicted value: meter and model together, one standard deviation. */
  readonly share: number
  readonly floor: number
  /** Span over which a blunder may fall. */
  readonly span: number
}

/**
 * How far a good reading may lie from its prediction. Meter accuracies are those of common instruments; the
 * share also
 * covers the supply's drift and what the diagram cannot know of this unit.
 */
export const tolerances: Readonly<Record<Exclude<Meter, 'ohms'>, Tolerance>> = {
  volts: { share: 0.04, floor: 0.35, span: 500 },
  loz: { share: 0.04, floor: 0.35, span: 500 },
  dc: { share: 0.04, floor: 0.12, span: 30 },
  amps: { share: 0.08, floor: 0.08, span: 60 },
  millivolts: { share: 0.35, floor: 4, span: 2000 },
}
/** Ohms are judged on a logarithmic scale, above what leads, clips and the touch of a chafed wire add. */
const ohmsSpread = 0.25
const ohmsFloor = 1
const ohmsSpan = Math.log(ohmsRangeEnd / 0.1)

/** One count of a display at a value: volts and ohms to a tenth, amps to a hundredth below ten. */
export const displayStep = (meter: Meter, value: number): number => {
  if (meter === 'amps') return Math.abs(value) < 10 ? 0.01 : 0.1
  if (meter === 'ohms') return value >= 1e6 ? 1e4 : value >= 1000 ? 10 : 0.1
  return 0.1
}

/** One standard deviation of a good reading about its prediction. */
export const spreadOf = (meter: Exclude<Meter, 'ohms'>, predicted: number): number => {
  const { share, floor } = tolerances[meter]
  const part = share * predicted
  return Math.sqrt(part * part + floor * floor)
}

/** Probability density of a reading, given what the circuit says it should be. `null` is OL. */
export function likelihood(meter: Meter, value: number | null, predicted: number | null): number {
  if (meter === 'ohms') return ohmsLikelihood(value, predicted)
  if (value === null || predicted === null) return blunderChance
  const { floor, span } = tolerances[meter]
  const exact = bell(value - predicted, spreadOf(meter, predicted))
  const good = mayPickUp(meter, predicted)
    ? (1 - phantom.chance) * exact + phantom.chance * phantomDensity(value)
    : exact
  const blunder = deadLeadShare * bell(value, floor) + (1 - deadLeadShare) / span
  return (1 - blunderChance) * good + blunderChance * blunder
}

const mayPickUp = (meter: Meter, predicted: number | null): boolean =>
  meter === 'volts' && predicted !== null && predicted < phantom.deadBelowVolts

/** Falls off exponentially, and ends. */
const phantomDensity = (volts: number): number =>
  volts < 0 || volts > phantom.mostVolts
    ? 0
    : Math.exp(-volts / phantom.meanVolts) /
      (phantom.meanVolts * (1 - Math.exp(-phantom.mostVolts / phantom.meanVolts)))

/** Whether a reading may be a phantom on what is predicted to be dead. */
export const mayBePhantom = (meter: Meter, value: number | null, predicted: number | null): boolean =>
  mayPickUp(meter, predicted) &&
  value !== null &&
  value > phantom.deadBelowVolts &&
  value <= phantom.mostVolts

function ohmsLikelihood(value: number | null, predicted: number | null): number {
  const blunder = value === null ? 0.5 : 0.5 / ohmsSpan
  if (value === null || predicted === null) {
    // near the end of the range a display may say either
    const near =
      value === null
        ? predicted !== null && predicted > ohmsRangeEnd / 4
        : value !== null && value > ohmsRangeEnd / 4
    const good = value === predicted ? 1 : near ? 0.3 : 0
    return (1 - blunderChance) * good + blunderChance * blunder
  }
  const good = bell(Math.log((value + ohmsFloor) / (predicted + ohmsFloor)), ohmsSpread)
  return (1 - blunderChance) * good + blunderChance * blunder
}

const bell = (distance: number, spread: number): number =>
  Math.exp(-0.5 * (distance / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI))

/** How far apart two predictions are, in standard deviations of a good reading. */
export function spreadsApart(meter: Meter, a: number | null, b: number | null): number {
  // most predictions are the healthy one
  if (a === b) return 0
  if (a === null || b === null) return Infinity
  if (meter === 'ohms') return Math.abs(Math.log((a + ohmsFloor) / (b + ohmsFloor))) / ohmsSpread
  return Math.abs(a - b) / Math.min(spreadOf(meter, a), spreadOf(meter, b))
}

/**
 * Whether two predictions give readings that a person can tell apart: taken for the other fewer than seven
 * times in a hundred.
 */
export const distinct = (meter: Meter, a: number | null, b: number | null): boolean =>
  spreadsApart(meter, a, b) > 3

/** Chance of seeing what is there, and of seeing what is not. */
export const lookChance = { hit: 0.93, falseAlarm: 0.06 } as const
