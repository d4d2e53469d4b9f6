import type { Fault } from '../parts/effect'
import type { UnitModel } from './predictor'

/**
 * Which faults are put right by what is repaired for a suspect: those of the same part or wire, those that it
 * touches, and those of its class, which no reading parts from it. `classes` has the class of every single
 * fault by hypothesis number.
 */
export function putsRight(
  { hypotheses }: Pick<UnitModel, 'hypotheses'>,
  classes: Int32Array,
  suspect: Fault,
): (fault: Fault) => boolean {
  const classOf = ({ id }: Fault): number | undefined =>
    classes[hypotheses.findIndex((hypothesis) => hypothesis.id === id)]
  const own = classOf(suspect)
  return (fault) =>
    fault.of === suspect.of ||
    fault.of === suspect.touching ||
    fault.touching === suspect.of ||
    classOf(fault) === own
}
