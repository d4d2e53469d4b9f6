import { expose } from 'comlink'
import { brief, doubtAbout, type Briefing } from '@jokulgale/core/diagnosis/briefing'
import { diagnose } from '@jokulgale/core/diagnosis/diagnose'
import { knownLadder } from '@jokulgale/core/diagram/readLadder'
import type { Meter } from '@jokulgale/core/circuit/meter'
import type { CaseFile } from '@jokulgale/core/visit/entry'

type Case = Omit<CaseFile, 'unit'>

const service = {
  brief: (ladder: string, file: Case): Briefing => brief(knownLadder(ladder), file),
  /** A question worth asking about a value just typed, or an empty text. */
  doubt: (ladder: string, file: Case, meter: Meter, from: string, to: string, value: number | null): string =>
    doubtAbout(diagnose(knownLadder(ladder), file), meter, from, to, value),
}

export type DiagnosisService = typeof service

expose(service)
