import { expose } from 'comlink'
import { circuitChange, type CircuitChange } from '@jokulgale/core/changes/circuitChange'
import { lostGuards } from '@jokulgale/core/changes/lostGuards'
import { brief, briefSoFar, type Briefing } from '@jokulgale/core/diagnosis/briefing'
import { doubtAbout } from '@jokulgale/core/diagnosis/typedDoubt'
import { judge, modelOf } from '@jokulgale/core/diagnosis/diagnose'
import { foresee, prepare } from '@jokulgale/core/diagnosis/foresee'
import type { Choosing } from '@jokulgale/core/diagnosis/nextStep'
import type { UnitFacts } from '@jokulgale/core/diagnosis/priors'
import { sketchOf, type Sketch } from '@jokulgale/core/diagnosis/sketch'
import {
  DiagramError,
  knownLadder,
  readableLadder,
  type DiagramProblem,
} from '@jokulgale/core/diagram/readLadder'
import { withTraces } from '@jokulgale/core/circuit/tracedCalls'
import type { Meter } from '@jokulgale/core/circuit/meters'
import type { Conditions } from '@jokulgale/core/parts/kind'
import type { CaseFile } from '@jokulgale/core/visit/entry'
import { platePairs, type PlatePair } from '@jokulgale/core/visit/plate'
import type { ProofSheet } from '@jokulgale/core/visit/proofLine'
import { proofSheets } from '@jokulgale/core/visit/proofSheet'

type Case = Omit<CaseFile, 'unit'>

type SketchAnswer =
  | { readonly is: 'sketch'; readonly sketch: Sketch }
  | { readonly is: 'problems'; readonly problems: readonly DiagramProblem[] }

const service = {
  /** A visit to this unit is about to be shown: its circuit is read and set up. */
  open: (ladder: string): void => {
    modelOf(knownLadder(ladder))
  },
  /** A call on this unit may come: it is solved ahead. */
  prepare: (ladder: string): void => {
    workAhead(prepare(knownLadder(ladder)))
  },
  /** What is known before any step has been worked out: suspects, and the circuit as it stands. */
  briefSoFar: (ladder: string, file: Case, facts: UnitFacts): Briefing =>
    briefSoFar(knownLadder(ladder), file, facts),
  brief: (ladder: string, file: Case, choosing: Choosing, facts: UnitFacts): Briefing => {
    const briefing = brief(knownLadder(ladder), file, choosing, facts)
    workAhead(foresee(knownLadder(ladder), file, facts))
    return briefing
  },
  /** A question worth asking about a value just typed, or an empty text. */
  doubt: (ladder: string, file: Case, meter: Meter, from: string, to: string, value: number | null): string =>
    doubtAbout(judge(knownLadder(ladder), file), meter, from, to, value),
  proof: (ladder: string, conditions: Conditions): readonly ProofSheet[] =>
    proofSheets(knownLadder(ladder), conditions),
  plate: (ladder: string): readonly PlatePair[] => platePairs(knownLadder(ladder)),
  /** A circuit with a trace for whatever its calls reach by now. */
  traced: (ladder: string): string => withTraces(ladder),
  /** What becomes of a unit when one circuit is made of another; null where either cannot be read. */
  change: (before: string, after: string): CircuitChange | null => {
    const [was, now] = [readableLadder(before), readableLadder(after)]
    return was && now ? circuitChange(was, now) : null
  },
  /** Whether a safety control would no longer stop what it did; a circuit that cannot be read loses none. */
  losesGuards: (before: string, after: string): boolean => {
    const [was, now] = [readableLadder(before), readableLadder(after)]
    return was !== null && now !== null && lostGuards(was, now).length > 0
  },
  /** A circuit that is being written: solved, or what is wrong with it line by line. */
  sketch: (ladder: string, call: string): SketchAnswer => {
    try {
      return { is: 'sketch', sketch: sketchOf(ladder, call) }
    } catch (error) {
      if (error instanceof DiagramError) return { is: 'problems', problems: error.problems }
      // the solver says in words what no circuit can have
      return {
        is: 'problems',
        problems: [{ line: 1, message: error instanceof Error ? error.message : String(error) }],
      }
    }
  },
}

/**
 * While nobody asks: how long the worker goes on before it listens again, and how long it leaves the screen
 * to itself first.
 */
const stretchMs = 8
const restMs = 250
let ahead: Iterator<unknown> | null = null
let timer: ReturnType<typeof setTimeout> | undefined

/** Goes on with a piece of work whenever there is nothing else to do; newer work takes the place of older. */
function workAhead(work: Iterator<unknown>): void {
  ahead = work
  clearTimeout(timer)
  timer = setTimeout(goOn, restMs)
}

function goOn(): void {
  const until = performance.now() + stretchMs
  while (ahead !== null && performance.now() < until) if (ahead.next().done) ahead = null
  if (ahead !== null) timer = setTimeout(goOn, 0)
}

export type DiagnosisService = typeof service

expose(service)
