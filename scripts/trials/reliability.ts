/** How often suspects were right that were given from a tenth to the next. */
export interface ReliabilityRow {
  readonly from: number
  readonly given: number
  readonly mean: number
  readonly right: number
}

const tenths = Array.from({ length: 10 }, (_, k) => k)

/** Suspects by the probability given to them, in tenths, and how often they were right. */
export const reliabilityOf = (
  given: readonly { readonly probability: number; readonly right: boolean }[],
): readonly ReliabilityRow[] =>
  tenths.map((k) => {
    const within = given.filter(({ probability }) => Math.min(9, Math.floor(10 * probability)) === k)
    const share = (of: (one: (typeof within)[number]) => number): number =>
      within.length > 0 ? within.reduce((sum, one) => sum + of(one), 0) / within.length : 0
    return {
      from: k / 10,
      given: within.length,
      mean: share(({ probability }) => probability),
      right: share(({ right }) => (right ? 1 : 0)),
    }
  })

/** Several such tables as one. */
export const together = (tables: readonly (readonly ReliabilityRow[])[]): readonly ReliabilityRow[] =>
  tenths.map((k) => {
    const rows = tables.map((table) => table[k])
    const given = rows.reduce((sum, row) => sum + row.given, 0)
    const share = (of: (row: ReliabilityRow) => number): number =>
      given > 0 ? rows.reduce((sum, row) => sum + row.given * of(row), 0) / given : 0
    return { from: k / 10, given, mean: share(({ mean }) => mean), right: share(({ right }) => right) }
  })

const side = 320
const edge = 40

/** The table as a plot: given against right, the diagonal being perfect. */
export function reliabilityPlot(rows: readonly ReliabilityRow[]): string {
  const x = (p: number): number => edge + p * side
  const y = (p: number): number => edge + (1 - p) * side
  const seen = rows.filter(({ given }) => given > 0)
  const ticks = [0, 0.2, 0.4, 0.6, 0.8, 1].map(
    (p) =>
      `<text x="${x(p)}" y="${y(0) + 18}" text-anchor="middle">${p}</text><text x="${x(0) - 8}" y="${y(p) + 4}" text-anchor="end">${p}</text>`,
  )
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${side + 2 * edge} ${side + 2 * edge + 16}" font-family="sans-serif" font-size="11">
<title>Share that was right, by the probability given</title>
<rect width="100%" height="100%" fill="#f8fbfc"/>
<path d="M ${x(0)} ${y(0)} H ${x(1)} M ${x(0)} ${y(0)} V ${y(1)}" stroke="#16242d" fill="none"/>
<path d="M ${x(0)} ${y(0)} L ${x(1)} ${y(1)}" stroke="#a9bcc8" stroke-dasharray="4 4"/>
<path d="${seen.map(({ mean, right }, k) => `${k === 0 ? 'M' : 'L'} ${x(mean).toFixed(1)} ${y(right).toFixed(1)}`).join(' ')}" stroke="#b04300" stroke-width="2" fill="none"/>
${seen.map(({ mean, right, given }) => `<circle cx="${x(mean).toFixed(1)}" cy="${y(right).toFixed(1)}" r="${(2 + Math.log10(given + 1)).toFixed(1)}" fill="#b04300"/>`).join('\n')}
${ticks.join('\n')}
<text x="${x(0.5)}" y="${y(0) + 36}" text-anchor="middle">probability given</text>
<text transform="translate(12 ${y(0.5)}) rotate(-90)" text-anchor="middle">share that was right</text>
</svg>
`
}
