import { loadBetween } from '../diagram/loadBetween'
import type { Diagram } from '../diagram/diagram'
import type { Candidate } from './candidates'
import type { ToldApart } from './likelihood'

/** How what a reading may show is told apart: the ohms of three windings, or of two coils alike, by each other. */
export const howToldApart = (diagram: Diagram, { meter, from, to }: Candidate): ToldApart =>
  meter === 'ohms' && loadBetween(diagram, from, to)?.compares ? 'compared ohms' : meter
