import { Worker } from 'node:worker_threads'
import { RequestProblem } from '../requests/problem'
import type { ReportFonts } from './paper'
import type { Print, PrintJob } from './printJob'

interface Answer {
  readonly number: number
  readonly pdf?: Uint8Array
  readonly error?: string
}

interface Waiting {
  readonly resolve: (pdf: Uint8Array) => void
  readonly reject: (error: Error) => void
  readonly timer: ReturnType<typeof setTimeout>
}

/** A document that takes longer is given up: its thread is ended. */
const mostMs = 60_000
/** More than so many at once are turned away. */
const mostWaiting = 40

/**
 * Prints in a thread of its own, off the loop that answers requests. One that takes too long, or takes its
 * thread down with it, costs that thread and whatever waited for it; the next has a new one.
 */
export class Printer {
  private worker: Worker | null = null
  private readonly waiting = new Map<number, Waiting>()
  private count = 0

  /** `program`: the file that the thread runs. */
  constructor(
    private readonly program: string,
    private readonly fonts: ReportFonts,
  ) {}

  /** Throws RequestProblem (503) while too many wait. */
  readonly print: Print = (job: PrintJob) => {
    if (this.waiting.size >= mostWaiting)
      return Promise.reject(
        new RequestProblem(503, { error: 'too many documents are being made; try again in a minute' }),
      )
    const number = ++this.count
    return new Promise<Uint8Array>((resolve, reject) => {
      const timer = setTimeout(() => {
        this.fail('a document took too long')
      }, mostMs)
      this.waiting.set(number, { resolve, reject, timer })
      this.thread().postMessage({ number, job })
    })
  }

  close(): void {
    this.fail('the server is stopping')
  }

  private thread(): Worker {
    if (this.worker) return this.worker
    const worker = new Worker(this.program, {
      workerData: this.fonts,
      resourceLimits: { maxOldGenerationSizeMb: 512 },
    })
    worker.unref()
    worker.on('message', (answer: Answer) => {
      this.answer(answer)
    })
    worker.on('error', (error) => {
      if (this.worker === worker) this.fail(error.message)
    })
    this.worker = worker
    return worker
  }

  private answer({ number, pdf, error }: Answer): void {
    const waiting = this.waiting.get(number)
    if (!waiting) return
    this.waiting.delete(number)
    clearTimeout(waiting.timer)
    if (pdf) waiting.resolve(pdf)
    else waiting.reject(new Error(error ?? 'a document could not be made'))
  }

  /** Ends the thread; whatever waits for it is refused. */
  private fail(why: string): void {
    void this.worker?.terminate()
    this.worker = null
    for (const number of [...this.waiting.keys()]) this.answer({ number, error: why })
  }
}
