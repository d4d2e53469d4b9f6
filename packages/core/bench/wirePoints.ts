import type { Diagram, Wire } from '../diagram/diagram'

/** The wire under a clamp at a terminal: the first that lands there. */
export const readingPoints = (diagram: Diagram, point: string): Wire | undefined =>
  [...diagram.wires.values()].find(({ from, to }) => from === point || to === point)
