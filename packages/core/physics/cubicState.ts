/** A substance by its critical constants, as published. */
export interface Substance {
  readonly criticalKelvin: number
  readonly criticalPascal: number
  readonly acentric: number
  readonly gramsPerMole: number
}

/** A mixture: substances with their mole fractions, which sum to 1. */
export interface Mixture {
  readonly substances: readonly Substance[]
  /** Interaction of each pair by their places, symmetric, 0 on the diagonal. */
  readonly interaction: readonly (readonly number[])[]
}

const gasConstant = 8.314462618
const root2 = Math.SQRT2

/** Attraction and volume of a pure substance at a temperature, in J·m³/mol² and m³/mol (Peng & Robinson 1976). */
function pureTerms({ criticalKelvin, criticalPascal, acentric }: Substance, kelvin: number) {
  const kappa = 0.37464 + 1.54226 * acentric - 0.26992 * acentric ** 2
  const alpha = (1 + kappa * (1 - Math.sqrt(kelvin / criticalKelvin))) ** 2
  return {
    a: (0.45724 * (gasConstant * criticalKelvin) ** 2 * alpha) / criticalPascal,
    b: (0.0778 * gasConstant * criticalKelvin) / criticalPascal,
  }
}

/** Real roots of z³ + c2·z² + c1·z + c0, largest first (Cardano). */
function cubicRoots(c2: number, c1: number, c0: number): readonly number[] {
  const p = c1 - (c2 * c2) / 3
  const q = (2 * c2 ** 3) / 27 - (c2 * c1) / 3 + c0
  const discriminant = (q / 2) ** 2 + (p / 3) ** 3
  if (discriminant > 0) {
    const root = Math.sqrt(discriminant)
    return [Math.cbrt(-q / 2 + root) + Math.cbrt(-q / 2 - root) - c2 / 3]
  }
  const size = 2 * Math.sqrt(-p / 3)
  const angle = Math.acos(Math.max(-1, Math.min(1, (3 * q) / (p * size)))) / 3
  return [0, 1, 2].map((k) => size * Math.cos(angle - (2 * Math.PI * k) / 3) - c2 / 3).sort((x, y) => y - x)
}

/** Logarithms of the fugacity coefficients of each part of a phase of a mixture. */
function fugacities(
  { substances, interaction }: Mixture,
  fractions: readonly number[],
  kelvin: number,
  pascal: number,
  phase: 'liquid' | 'vapour',
): readonly number[] {
  const pure = substances.map((substance) => pureTerms(substance, kelvin))
  const rt = gasConstant * kelvin
  const pair = (i: number, j: number): number => Math.sqrt(pure[i].a * pure[j].a) * (1 - interaction[i][j])
  const attraction = fractions.map((_, i) => fractions.reduce((sum, x, j) => sum + x * pair(i, j), 0))
  const a = fractions.reduce((sum, x, i) => sum + x * attraction[i], 0)
  const b = fractions.reduce((sum, x, i) => sum + x * pure[i].b, 0)
  const A = (a * pascal) / rt ** 2
  const B = (b * pascal) / rt
  const roots = cubicRoots(B - 1, A - 3 * B * B - 2 * B, B ** 3 + B * B - A * B).filter((z) => z > B)
  const z = phase === 'vapour' ? roots[0] : roots[roots.length - 1]
  return fractions.map((_, i) => {
    const share = pure[i].b / b
    const spread = Math.log((z + (1 + root2) * B) / (z + (1 - root2) * B))
    return (
      share * (z - 1) - Math.log(z - B) - (A / (2 * root2 * B)) * ((2 * attraction[i]) / a - share) * spread
    )
  })
}

/** Vapour pressure of a pure substance, roughly: where the search begins (Wilson 1968). */
const wilsonPascal = ({ criticalKelvin, criticalPascal, acentric }: Substance, kelvin: number): number =>
  criticalPascal * Math.exp(5.373 * (1 + acentric) * (1 - criticalKelvin / kelvin))

const rounds = 200
const closeEnough = 1e-10

/**
 * Pressure at which a mixture of these fractions begins to boil (bubble) or to condense (dew) at a temperature, Pa: equal
 * fugacities in both phases, by successive substitution.
 */
export function saturationPascal(
  mixture: Mixture,
  fractions: readonly number[],
  kelvin: number,
  end: 'bubble' | 'dew',
): number {
  const { substances } = mixture
  const wilson = substances.map((substance) => wilsonPascal(substance, kelvin))
  let pascal =
    end === 'bubble'
      ? fractions.reduce((sum, x, i) => sum + x * wilson[i], 0)
      : 1 / fractions.reduce((sum, y, i) => sum + y / wilson[i], 0)
  let other: readonly number[] = normalised(
    fractions.map((x, i) => (end === 'bubble' ? (x * wilson[i]) / pascal : (x * pascal) / wilson[i])),
  )
  for (let round = 0; round < rounds; round++) {
    const [liquid, vapour] = end === 'bubble' ? [fractions, other] : [other, fractions]
    const inLiquid = fugacities(mixture, liquid, kelvin, pascal, 'liquid')
    const inVapour = fugacities(mixture, vapour, kelvin, pascal, 'vapour')
    const ratios = inLiquid.map((log, i) => Math.exp(log - inVapour[i]))
    const amounts = fractions.map((x, i) => (end === 'bubble' ? x * ratios[i] : x / ratios[i]))
    const sum = amounts.reduce((total, amount) => total + amount, 0)
    other = normalised(amounts)
    pascal = end === 'bubble' ? pascal * sum : pascal / sum
    if (Math.abs(sum - 1) < closeEnough) return pascal
  }
  return pascal
}

function normalised(amounts: readonly number[]): readonly number[] {
  const sum = amounts.reduce((total, amount) => total + amount, 0)
  return amounts.map((amount) => amount / sum)
}
