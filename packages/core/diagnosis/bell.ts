/** Density of the normal distribution at a distance from its middle, both in the unit of its spread. */
export const bell = (distance: number, spread: number): number =>
  Math.exp(-0.5 * (distance / spread) ** 2) / (spread * Math.sqrt(2 * Math.PI))
