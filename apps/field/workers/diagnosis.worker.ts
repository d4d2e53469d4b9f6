import { expose } from 'comlink'
import { brief, doubtAbout, type Briefing } from '@jokulgale/core/diagnosis/briefing'
import { diagnose } from '@jokulgale/core/diagnosis/diagnose'
import type { Choosing } from '@jokulgale/core/diagnosis/nextStep'
import type { UnitFacts } from '@jokulgale/core/diagnosis/priors'
import { knownLadder } from '@jokulgale/core/diagram/readLadder'
import type { Meter } from '@jokulgale/core/circuit/meter'
import type { Conditions } from '@jokulgale/core/parts/kind'
import type { CaseFile } from '@jokulgale/core/visit/entry'
import { platePairs, type PlatePair } from '@jokulgale/core/visit/plate'
import { proofSheets, type ProofSheet } from '@jokulgale/core/visit/proofSheet'

type Case = Omit<CaseFile, 'unit'>

const service = {
  brief: (ladder: string, file: Case, choosing: Choosing, facts: UnitFacts): Briefing => brief(knownLadder(ladder), file, choosing, facts),
  /** A question worth asking about a value just typed, or an empty text. */
  doubt: (ladder: string, file: Case, meter: Meter, from: string, to: string, value: number | null): string =>
    doubtAbout(diagnose(knownLadder(ladder), file), meter, from, to, value),
  proof: (ladder: string, conditions: Conditions): readonly ProofSheet[] => proofSheets(knownLadder(ladder), conditions),
  plate: (ladder: string): readonly PlatePair[] => platePairs(knownLadder(ladder)),
}

export type DiagnosisService = typeof service

expose(service)
