import { wrap, type Remote } from 'comlink'
import type { DiagnosisService } from './diagnosis.worker'

let remote: Remote<DiagnosisService> | null = null

/** The worker that solves and infers; started when first asked. */
export function diagnosisService(): Remote<DiagnosisService> {
  remote ??= wrap<DiagnosisService>(new Worker(new URL('./diagnosis.worker', import.meta.url)))
  return remote
}
