import { callWords, type Diagram } from '../diagram/diagram'
import { proofSays } from './proofSays'
import type { Standing } from './standing'
import type { ProofTaken, VisitState } from './visitState'

/** Whether anything of a healthy unit still moves by itself so many seconds after the last change. */
export type StillMoves = (standing: Standing, seconds: number) => boolean

/** Whether a call can be proven as the unit stands now, delays apart. */
export type Readiness = 'ready' | 'power-off' | 'other-call'

const isAllOn = ({ power, off }: Standing): boolean => power === 'on' && off.length === 0

export function readinessOf({ standing }: VisitState, call: string): Readiness {
  if (!isAllOn(standing)) return 'power-off'
  return standing.call === call ? 'ready' : 'other-call'
}

const nothingRead = 'nothing was read in it: enter a value, or say what was read, and prove it'

/**
 * Why a proof that was said does not count: a call is proven while it is set, with all of the unit on, every
 * delay over, something read in it, and power not taken away since. Empty where it does.
 */
export function proofWeakness(
  state: VisitState,
  diagram: Diagram,
  proof: ProofTaken,
  stillMoves: StillMoves,
): string {
  const { entries } = state
  const { entry, body, standing, seconds } = proof
  const call = `“${callWords(diagram, body.call)}”`
  const setCall = callWords(diagram, standing.call)
  if (!isAllOn(standing)) return `${call} was proven with the power off: switch it on and prove it again`
  if (standing.call !== body.call)
    return `${call} was proven while “${setCall}” was set: set it and prove it again`
  const wasSwitched = entries.slice(entries.indexOf(entry)).some((later) => later.body.kind === 'power')
  if (wasSwitched) return `The power was switched after ${call} was proven: prove it once more`
  if (!proofSays(state, proof)) return `${call} was said to be right, and ${nothingRead}`
  return stillMoves(standing, seconds)
    ? `${call} was proven while a delay ran: wait until it is over and prove it again`
    : ''
}
