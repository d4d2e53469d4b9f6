import { economizerControl } from './economizerControl'

/** Compares the enthalpy of outdoor and return air; humidity sensors on `HO±` and `HR±`. */
export const enthalpyEconomizer = economizerControl(
  'enthalpy-economizer',
  'enthalpy economizer controller',
  'differential-enthalpy',
  true,
)
