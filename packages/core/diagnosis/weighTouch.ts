import { withItsWires } from '../diagram/wireAt'
import { touched } from './comesAndGoes'
import type { UnitModel } from './predictor'
import type { Weigher } from './tracks'

/** What it makes of a track that a part was moved: the part itself, and the leads that land on it. */
export function touchedWeigher({ diagram, hypotheses }: UnitModel, part: string): Weigher {
  const moved = new Set(withItsWires(diagram, part))
  return (h, track) =>
    touched(
      track,
      hypotheses[h].of.some((of) => moved.has(of)),
    )
}
