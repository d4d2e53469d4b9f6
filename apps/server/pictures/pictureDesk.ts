import { fork, type ChildProcess } from 'node:child_process'

/** A picture as it is kept: JPEG, upright, with nothing that a camera wrote into it. */
export interface WrittenAnew {
  readonly image: Buffer
  /** When it was taken, as the camera has it; null: it does not say. */
  readonly takenAt: Date | null
}

interface Answer {
  readonly number: number
  readonly image?: Uint8Array
  readonly takenAt?: string | null
}

interface Job {
  readonly number: number
  readonly image: Buffer
  readonly answer: (written: WrittenAnew | null) => void
}

/** A picture that takes longer is no picture for us: its process is ended. */
const mostMs = 12_000
/** More than so many waiting at once are turned away. */
const mostWaiting = 40

/**
 * Writes pictures anew in a process of its own, one at a time: one that takes too long, or takes its decoder down with it,
 * costs that process and is refused; the next has a new one.
 */
export class PictureDesk {
  private child: ChildProcess | null = null
  private waiting: Job[] = []
  private current: Job | null = null
  private timer: ReturnType<typeof setTimeout> | undefined
  private count = 0

  /** `program`: the file that the process runs. */
  constructor(private readonly program: string) {}

  /** The picture written anew; null where it is none that can be read. */
  writeAnew(image: Buffer): Promise<WrittenAnew | null> {
    if (this.waiting.length >= mostWaiting) return Promise.resolve(null)
    return new Promise((answer) => {
      this.waiting.push({ number: ++this.count, image, answer })
      this.next()
    })
  }

  /** Ends the process; whatever waits is refused. */
  close(): void {
    for (const { answer } of this.waiting.splice(0)) answer(null)
    this.child?.kill('SIGKILL')
    this.child = null
    this.finish(null)
  }

  private next(): void {
    if (this.current) return
    const job = this.waiting.shift()
    if (!job) return
    this.current = job
    this.timer = setTimeout(() => {
      this.child?.kill('SIGKILL')
    }, mostMs)
    this.process().send({ number: job.number, image: job.image })
  }

  private process(): ChildProcess {
    if (this.child) return this.child
    const child = fork(this.program, [], {
      serialization: 'advanced',
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      execArgv: ['--max-old-space-size=128'],
    })
    child.on('message', (answer: Answer) => {
      if (answer.number === this.current?.number) this.finish(writtenOf(answer))
    })
    child.once('exit', () => {
      if (this.child !== child) return
      this.child = null
      this.finish(null)
    })
    // a process that cannot be started or sent to has ended, or will
    child.on('error', () => child.kill('SIGKILL'))
    // an idle desk keeps nobody from ending
    child.unref()
    child.channel?.unref()
    this.child = child
    return child
  }

  private finish(written: WrittenAnew | null): void {
    clearTimeout(this.timer)
    const job = this.current
    this.current = null
    job?.answer(written)
    this.next()
  }
}

const writtenOf = ({ image, takenAt }: Answer): WrittenAnew | null =>
  image === undefined ? null : { image: Buffer.from(image), takenAt: takenAt ? new Date(takenAt) : null }
