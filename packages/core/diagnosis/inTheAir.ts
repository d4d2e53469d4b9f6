import type { UnitModel } from './predictor'

/** Whether a hypothesis is of what air goes through, or of what moves it while its motor turns. */
export const isInTheAir = ({ diagram, hypotheses }: UnitModel, h: number): boolean =>
  hypotheses[h].faults.some(({ of }) => diagram.parts.get(of)?.kind.passesAir)
