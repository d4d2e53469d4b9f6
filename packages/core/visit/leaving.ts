import type { Of } from './fold'

/** What a visit that leaves a unit restricted or off still has to say; empty when it says all, or is a repair. */
export const leavingProblems = ({
  outcome,
  words,
  told = '',
  until = '',
}: Omit<Of<'sign-off'>, 'kind'>): readonly string[] =>
  outcome === 'repaired'
    ? []
    : [
        words.trim() === '' ? 'Say for the building what is left, and why' : '',
        told.trim() === '' ? 'Say who was told' : '',
        until === '' ? 'Say until which day it may stay so' : '',
      ].filter(Boolean)
