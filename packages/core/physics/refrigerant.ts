import { saturationPascal, type Mixture, type Substance } from './cubicState'

/** Critical constants and acentric factors as published for each substance. */
const substances = {
  r22: { criticalKelvin: 369.295, criticalPascal: 4.99e6, acentric: 0.2208, gramsPerMole: 86.468 },
  r32: { criticalKelvin: 351.255, criticalPascal: 5.782e6, acentric: 0.2769, gramsPerMole: 52.024 },
  r125: { criticalKelvin: 339.173, criticalPascal: 3.6177e6, acentric: 0.3052, gramsPerMole: 120.021 },
  r134a: { criticalKelvin: 374.21, criticalPascal: 4.0593e6, acentric: 0.3268, gramsPerMole: 102.032 },
  r1234yf: { criticalKelvin: 367.85, criticalPascal: 3.3822e6, acentric: 0.276, gramsPerMole: 114.042 },
} as const satisfies Readonly<Record<string, Substance>>

type SubstanceId = keyof typeof substances

/** What a refrigerant is made of, in parts by mass. */
const made = {
  'R-22': [['r22', 1]],
  'R-134a': [['r134a', 1]],
  'R-32': [['r32', 1]],
  'R-410A': [
    ['r32', 0.5],
    ['r125', 0.5],
  ],
  'R-407C': [
    ['r32', 0.23],
    ['r125', 0.25],
    ['r134a', 0.52],
  ],
  'R-454B': [
    ['r32', 0.689],
    ['r1234yf', 0.311],
  ],
} as const satisfies Readonly<Record<string, readonly (readonly [SubstanceId, number])[]>>

/**
 * Interaction of two substances in the mixing rule, where it is not near 0. Set so that R-454B glides as its published
 * tables do; no reading of a mixture is taken for granted beyond that.
 */
const interactions: Readonly<Record<string, number>> = { 'r1234yf r32': 0.042 }

const interactionOf = (a: SubstanceId, b: SubstanceId): number => interactions[[a, b].sort().join(' ')] ?? 0

export type Refrigerant = keyof typeof made
export const refrigerants = Object.keys(made) as readonly Refrigerant[]

interface Known {
  readonly mixture: Mixture
  readonly fractions: readonly number[]
}

function knownOf(refrigerant: Refrigerant): Known {
  const parts: readonly (readonly [SubstanceId, number])[] = made[refrigerant]
  const moles = parts.map(([id, mass]) => mass / substances[id].gramsPerMole)
  const all = moles.reduce((sum, amount) => sum + amount, 0)
  return {
    fractions: moles.map((amount) => amount / all),
    mixture: {
      substances: parts.map(([id]) => substances[id]),
      interaction: parts.map(([a]) => parts.map(([b]) => interactionOf(a, b))),
    },
  }
}

const pascalPerPsi = 6894.757
const atmospherePsi = 14.696
const kelvinOf = (fahrenheit: number): number => ((fahrenheit + 459.67) * 5) / 9

/** Gauge pressure at which a refrigerant begins to boil (bubble) or to condense (dew) at a temperature, psig. */
export function saturationPsig(refrigerant: Refrigerant, fahrenheit: number, end: 'bubble' | 'dew'): number {
  const { mixture, fractions } = knownOf(refrigerant)
  return saturationPascal(mixture, fractions, kelvinOf(fahrenheit), end) / pascalPerPsi - atmospherePsi
}

/** Between which temperatures a pressure is looked up, °F. */
export const saturationRange = { least: -40, most: 140 } as const

/** Temperature at which a refrigerant begins to boil or to condense at a gauge pressure, °F; null: outside −40 to 140 °F. */
export function saturationFahrenheit(
  refrigerant: Refrigerant,
  psig: number,
  end: 'bubble' | 'dew',
): number | null {
  const { least, most } = saturationRange
  let [low, high] = [least as number, most as number]
  if (psig < saturationPsig(refrigerant, low, end) || psig > saturationPsig(refrigerant, high, end))
    return null
  while (high - low > 0.01) {
    const middle = (low + high) / 2
    if (saturationPsig(refrigerant, middle, end) < psig) low = middle
    else high = middle
  }
  return (low + high) / 2
}
