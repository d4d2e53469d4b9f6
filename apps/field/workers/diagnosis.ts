import { wrap, type Remote } from 'comlink'
import { useEffect } from 'react'
import type { DiagnosisService } from './diagnosis.worker'

let remote: Remote<DiagnosisService> | null = null

/** The worker that solves and infers; started when first asked. */
export function diagnosisService(): Remote<DiagnosisService> {
  remote ??= wrap<DiagnosisService>(new Worker(new URL('./diagnosis.worker', window.location.href)))
  return remote
}

const opened = new Set<string>()

/**
 * Has the circuit of a visit set up in the worker while the page is still being drawn: asked for as soon as
 * the ladder is known, before any effect runs, and once for each.
 */
export function openAhead(ladder: string | undefined): void {
  if (ladder === undefined || opened.has(ladder)) return
  opened.add(ladder)
  // what is wrong with it is said when the visit asks
  diagnosisService()
    .open(ladder)
    .catch(() => undefined)
}

/**
 * Has a unit solved ahead while something of it is on the screen, so that it is there when a call on it
 * begins.
 */
export function usePrepared(ladder: string | undefined): void {
  useEffect(() => {
    // what may be wrong with it is said when a call on it asks
    if (ladder !== undefined)
      diagnosisService()
        .prepare(ladder)
        .catch(() => undefined)
  }, [ladder])
}
