import { knownConditions, type Condition } from './kind'

/**
 * Stretches of what surrounds a unit, each from one value to another: what any of them does to the circuit
 * is tried.
 */
type Stretches = readonly (readonly [from: number, to: number])[]

/**
 * What surrounds a unit for a whole visit, whatever it is told to do, and the stretches in which it may lie:
 * temperatures in °F, humidity in per cent. One measured once holds for everything that was read before too.
 */
export const surroundings: Readonly<Partial<Record<Condition, Stretches>>> = {
  outdoorDryBulb: [
    [-10, 20],
    [20, 35],
    [35, 48],
    [48, 56],
    [56, 64],
    [64, 75],
    [75, 90],
    [90, 110],
  ],
  returnDryBulb: [
    [55, 68],
    [68, 74],
    [74, 80],
    [80, 90],
  ],
  outdoorHumidity: [
    [5, 30],
    [30, 55],
    [55, 80],
    [80, 100],
  ],
  returnHumidity: [
    [5, 30],
    [30, 45],
    [45, 60],
    [60, 90],
  ],
  pipe: [
    [38, 60],
    [60, 90],
    [90, 180],
  ],
}

/** Whether a condition surrounds the unit, rather than being made by what it does. */
export const isSurrounding = (condition: string): boolean => condition in surroundings

/** Conditions that surround a unit. */
export const conditionsThatSurround = knownConditions.filter((condition) => condition in surroundings)

/**
 * Whether a condition comes of what the unit does, as its pressures and the temperatures of its coils: what
 * was measured of it holds until something is put right.
 */
export const isOfRunning = (condition: string): boolean =>
  !isSurrounding(condition) && condition !== 'supplyVolts'
