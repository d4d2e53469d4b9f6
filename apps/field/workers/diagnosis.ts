import { wrap, type Remote } from 'comlink'
import { useEffect } from 'react'
import type { DiagnosisService } from './diagnosis.worker'

let remote: Remote<DiagnosisService> | null = null

/** The worker that solves and infers; started when first asked. */
export function diagnosisService(): Remote<DiagnosisService> {
  remote ??= wrap<DiagnosisService>(new Worker(new URL('./diagnosis.worker', window.location.href)))
  return remote
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
