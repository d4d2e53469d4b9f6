import { expose } from 'comlink'
import { brief, doubtAbout, type Briefing } from '@jokulgale/core/diagnosis/briefing'
import { diagnose } from '@jokulgale/core/diagnosis/diagnose'
import { readLadder } from '@jokulgale/core/diagram/readLadder'
import type { Diagram } from '@jokulgale/core/diagram/diagram'
import type { Meter } from '@jokulgale/core/circuit/meter'
import type { CaseFile } from '@jokulgale/core/visit/entry'

type Case = Omit<CaseFile, 'unit'>

const diagrams = new Map<string, Diagram>()

function diagramOf(ladder: string): Diagram {
  const known = diagrams.get(ladder)
  if (known) return known
  const diagram = readLadder(ladder)
  diagrams.set(ladder, diagram)
  return diagram
}

const service = {
  brief: (ladder: string, file: Case): Briefing => brief(diagramOf(ladder), file),
  /** A question worth asking about a value just typed, or an empty text. */
  doubt: (ladder: string, file: Case, meter: Meter, from: string, to: string, value: number | null): string =>
    doubtAbout(diagnose(diagramOf(ladder), file), meter, from, to, value),
}

export type DiagnosisService = typeof service

expose(service)
