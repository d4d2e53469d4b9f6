import { partOfPoint, type Diagram, type Part } from './diagram'

/** Two points that are not the two terminals of one capacitor. */
export class NoCapacitorError extends Error {
  constructor(from: string, to: string) {
    super(`microfarads ${from} to ${to}: hold the leads to the two terminals of one capacitor`)
    this.name = 'NoCapacitorError'
  }
}

const isCapacitor = ({ parts }: Diagram, part: string): boolean =>
  parts.get(part)?.kind.symbol === 'capacitor'

/** Every terminal of a capacitor. */
export const capacitorPoints = (diagram: Diagram): readonly string[] =>
  [...diagram.points.values()].filter(({ part }) => isCapacitor(diagram, part)).map(({ id }) => id)

/** Whether two points are the two terminals of one capacitor. */
export const areOfOneCapacitor = (diagram: Diagram, from: string, to: string): boolean =>
  from !== to && partOfPoint(from) === partOfPoint(to) && isCapacitor(diagram, partOfPoint(from))

/** The capacitor that has both points. Throws NoCapacitorError. */
export function capacitorBetween(diagram: Diagram, from: string, to: string): Part {
  const part = diagram.parts.get(partOfPoint(from))
  if (!part || !areOfOneCapacitor(diagram, from, to)) throw new NoCapacitorError(from, to)
  return part
}
