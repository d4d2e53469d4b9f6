/**
 * Unknown factors that readings of a visit share: of the supply, of each transformer, of each load's current. Each is a
 * share by which the unit differs from its drawing, normally distributed before anything is read; what is read moves them
 * all together (a Kalman filter with no dynamics: Kalman 1960, in the form of West & Harrison, Bayesian Forecasting).
 */
export class Factors {
  private readonly keys: string[] = []
  private mean: number[] = []
  /** Covariance of each with each. */
  private covariances: number[][] = []

  clone(): Factors {
    const copy = new Factors()
    copy.keys.push(...this.keys)
    copy.mean = [...this.mean]
    copy.covariances = this.covariances.map((row) => [...row])
    return copy
  }

  /** Share by which a value with these factors differs from its drawing, and the variance of that share. */
  expect(terms: readonly FactorTerm[]): Expected {
    const places = terms.map((term) => this.place(term))
    let mean = 0
    let variance = 0
    for (const a of places) {
      mean += this.mean[a]
      for (const b of places) variance += this.covariances[a][b]
    }
    return { mean, variance }
  }

  /**
   * Learns from a reading: `predicted` by the drawing, `value` as read, with `variance` of its own, in the square of its
   * unit.
   */
  learn(terms: readonly FactorTerm[], predicted: number, value: number, variance: number): void {
    this.observe(
      terms.map((term) => ({ term, weight: predicted })),
      value - predicted,
      variance,
    )
  }

  /** Learns from what a sum of factors, each with its weight, was read as, with `variance` of its own. */
  observe(sum: readonly WeightedTerm[], read: number, variance: number): void {
    const parts = sum.map(({ term, weight }) => ({ at: this.place(term), weight }))
    // covariance of every factor with the reading
    const toReading = this.keys.map((_, k) =>
      parts.reduce((total, { at, weight }) => total + weight * this.covariances[k][at], 0),
    )
    const spread = parts.reduce((total, { at, weight }) => total + weight * toReading[at], variance)
    const surprise = parts.reduce((left, { at, weight }) => left - weight * this.mean[at], read)
    for (let k = 0; k < this.keys.length; k++) {
      const gain = toReading[k] / spread
      this.mean[k] += gain * surprise
      for (let other = 0; other < this.keys.length; other++)
        this.covariances[k][other] -= gain * toReading[other]
    }
  }

  /** How two factors are known together. */
  covariance(a: FactorTerm, b: FactorTerm): number {
    const [at, other] = [this.place(a), this.place(b)]
    return this.covariances[at][other]
  }

  /** What is known of a factor; null where nothing has asked for it yet. */
  known(key: string): Expected | null {
    const at = this.keys.indexOf(key)
    return at < 0 ? null : { mean: this.mean[at], variance: this.covariances[at][at] }
  }

  private place({ key, mean, spread }: FactorTerm): number {
    const at = this.keys.indexOf(key)
    if (at >= 0) return at
    this.keys.push(key)
    this.mean.push(mean)
    for (const row of this.covariances) row.push(0)
    this.covariances.push(this.keys.map((_, k) => (k === this.keys.length - 1 ? spread * spread : 0)))
    return this.keys.length - 1
  }
}

/** A factor that a reading scales with, and what is believed of it before anything is read. */
export interface FactorTerm {
  readonly key: string
  readonly mean: number
  readonly spread: number
}

/** A factor as a reading goes with it. */
export interface WeightedTerm {
  readonly term: FactorTerm
  readonly weight: number
}

export interface Expected {
  readonly mean: number
  readonly variance: number
}
