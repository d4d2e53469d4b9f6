/**
 * Unknown factors that readings of a visit share: of the supply, of each transformer, of each load's current. Each is a
 * share by which the unit differs from its drawing, normally distributed before anything is read; what is read moves them
 * all together (a Kalman filter with no dynamics: Kalman 1960, in the form of West & Harrison, Bayesian Forecasting).
 */
export class Factors {
  private readonly keys: string[] = []
  private mean: number[] = []
  private covariance: number[][] = []

  clone(): Factors {
    const copy = new Factors()
    copy.keys.push(...this.keys)
    copy.mean = [...this.mean]
    copy.covariance = this.covariance.map((row) => [...row])
    return copy
  }

  /** Share by which a value with these factors differs from its drawing, and the variance of that share. */
  expect(terms: readonly FactorTerm[]): Expected {
    const places = terms.map((term) => this.place(term))
    let mean = 0
    let variance = 0
    for (const a of places) {
      mean += this.mean[a]
      for (const b of places) variance += this.covariance[a][b]
    }
    return { mean, variance }
  }

  /**
   * Learns from a reading: `predicted` by the drawing, `value` as read, with `variance` of its own, in the square of its
   * unit.
   */
  learn(terms: readonly FactorTerm[], predicted: number, value: number, variance: number): void {
    const places = terms.map((term) => this.place(term))
    const { mean, variance: shared } = this.expect(terms)
    const spread = predicted * predicted * shared + variance
    const surprise = value - predicted * (1 + mean)
    // covariance of every factor with the reading
    const toReading = this.keys.map(
      (_, k) => places.reduce((sum, a) => sum + this.covariance[k][a], 0) * predicted,
    )
    for (let k = 0; k < this.keys.length; k++) {
      const gain = toReading[k] / spread
      this.mean[k] += gain * surprise
      for (let other = 0; other < this.keys.length; other++)
        this.covariance[k][other] -= gain * toReading[other]
    }
  }

  /** What is known of a factor; null where nothing has asked for it yet. */
  known(key: string): Expected | null {
    const at = this.keys.indexOf(key)
    return at < 0 ? null : { mean: this.mean[at], variance: this.covariance[at][at] }
  }

  private place({ key, mean, spread }: FactorTerm): number {
    const at = this.keys.indexOf(key)
    if (at >= 0) return at
    this.keys.push(key)
    this.mean.push(mean)
    for (const row of this.covariance) row.push(0)
    this.covariance.push(this.keys.map((_, k) => (k === this.keys.length - 1 ? spread * spread : 0)))
    return this.keys.length - 1
  }
}

/** A factor that a reading scales with, and what is believed of it before anything is read. */
export interface FactorTerm {
  readonly key: string
  readonly mean: number
  readonly spread: number
}

export interface Expected {
  readonly mean: number
  readonly variance: number
}
