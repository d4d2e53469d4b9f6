import { memory } from './contact'
import type { PartFault } from './kind'

/**
 * What turns in a motor, as it is seen; its bearings are a thing of their own, or a seized one would run with
 * no call.
 */
export const rotorBranches = (ways: readonly string[]) =>
  [memory('rotor', ways, 'still'), memory('bearings', ['free', 'seized'], 'free')] as const

/** A rotor that cannot turn: on full volts it hums at locked-rotor amps until its protector opens. */
export const seized = (words: string, prior: number, prove: string): PartFault => ({
  name: 'seized',
  class: 'stuck',
  words: `${words} seized: it hums and does not turn`,
  prior,
  cause: 'dry or worn bearings; in a compressor, liquid or lost oil',
  prove,
  effects: [{ does: 'hold', branch: 'bearings', state: 'seized' }],
})

/** What is seen and heard of a motor: one that stands and draws is heard. */
export const rotorLooks = (rotor: string, isStalled: boolean): readonly string[] =>
  rotor === 'still' && isStalled ? ['humming', 'still'] : [rotor]
