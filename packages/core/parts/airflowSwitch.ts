import { provingSwitch } from './provingSwitch'

/** Closes on the air of a blower, not on its rotor: a belt that is off leaves it open. */
export const airflowSwitch = provingSwitch({
  kind: 'airflow-switch',
  words: 'airflow switch',
  cause: 'limits',
  why: 'tube off or split, paddle stuck, set too high',
})
