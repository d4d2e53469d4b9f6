import { provingSwitch } from './provingSwitch'

/** Closes on the draft of an inducer. */
export const draftSwitch = provingSwitch({
  kind: 'draft-switch',
  words: 'draft switch',
  cause: 'gas',
  why: 'hose off or split, blocked flue, water in the hose',
})
