// A thread of its own that folds a log, solves its circuit and sets the page: other requests are answered
// meanwhile.
// Takes { number, job }, answers { number, pdf } or { number, error }.
import { parentPort, workerData } from 'node:worker_threads'
import { printWith, type PrintJob } from './printJob'
import type { ReportFonts } from './paper'

const print = printWith(workerData as ReportFonts)

parentPort?.on('message', ({ number, job }: { readonly number: number; readonly job: PrintJob }) => {
  print(job).then(
    (pdf) => parentPort?.postMessage({ number, pdf }),
    (error: unknown) =>
      parentPort?.postMessage({ number, error: error instanceof Error ? error.message : String(error) }),
  )
})
