import { parentPort, Worker, workerData } from 'node:worker_threads'

/** What is solved of a unit is large; a thread has it for itself, and it goes with the thread. */
const threadMiB = 8192

/**
 * Puts every task through this same program on a thread of its own, so many at once; `done` has each result
 * as it comes.
 */
export async function onThreads<Task, Result>(
  tasks: readonly Task[],
  threads: number,
  done: (task: Task, result: Result) => void,
): Promise<void> {
  const queue = [...tasks]
  const takeTurns = async (): Promise<void> => {
    for (let task = queue.shift(); task !== undefined; task = queue.shift())
      done(task, await onThread<Task, Result>(task))
  }
  await Promise.all(Array.from({ length: threads }, takeTurns))
}

const onThread = <Task, Result>(task: Task): Promise<Result> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(process.argv[1], {
      workerData: task,
      resourceLimits: { maxOldGenerationSizeMb: threadMiB },
    })
    worker.once('message', resolve)
    worker.once('error', reject)
  })

/** On such a thread: works its task out. */
export function answer<Task, Result>(work: (task: Task) => Result): void {
  parentPort?.postMessage(work(workerData))
}
