import PgBoss from 'pg-boss'

/**
 * Work that any server of a database may take up: documents, mail, backups. Its rows are in a schema of
 * their own.
 */
export interface Queue {
  /** Hands work over; gives its identity. */
  readonly send: (name: string, work: object) => Promise<string>
  /** Takes up such work, one piece at a time; what throws is tried again as its queue says. */
  readonly take: <Work>(name: string, does: (work: Work, id: string) => Promise<void>) => Promise<void>
  /** Whether a piece of work has failed for good, or was never known. */
  readonly isLost: (name: string, id: string) => Promise<boolean>
  /** Hands over the same work at these times (cron, UTC), once however many servers there are. */
  readonly everyDay: (name: string, cron: string) => Promise<void>
  readonly close: () => Promise<void>
}

interface QueueRules {
  /** So many more tries after the first. */
  readonly retryLimit: number
  /** Each further try waits twice as long. */
  readonly retryDelay: number
  readonly retryBackoff: boolean
  /** A server that has not finished by then has died over it: another takes it up. */
  readonly expireInSeconds: number
}

const rules: Readonly<Record<string, QueueRules>> = {
  // somebody waits for it
  print: { retryLimit: 1, retryDelay: 0, retryBackoff: false, expireInSeconds: 60 },
  mail: { retryLimit: 8, retryDelay: 30, retryBackoff: true, expireInSeconds: 120 },
  backup: { retryLimit: 3, retryDelay: 300, retryBackoff: true, expireInSeconds: 3600 },
}

const lookEverySeconds = 0.5

/** Opens the queue of a database, and makes what it needs there. */
export async function openQueue(connectionString: string, report: (error: unknown) => void): Promise<Queue> {
  const boss = new PgBoss({
    connectionString,
    schema: 'jobs',
    max: 3,
    archiveCompletedAfterSeconds: 3600,
    deleteAfterDays: 7,
  })
  boss.on('error', report)
  await boss.start()
  for (const [name, rule] of Object.entries(rules)) await boss.createQueue(name, { name, ...rule })
  return {
    send: async (name, work) => {
      const id = await boss.send(name, work)
      if (id === null) throw new Error(`the queue ${name} took no work`)
      return id
    },
    take: async (name, does) => {
      await boss.work<Parameters<typeof does>[0]>(
        name,
        { pollingIntervalSeconds: lookEverySeconds, batchSize: 1 },
        async ([{ data, id }]) => {
          await does(data, id)
        },
      )
    },
    isLost: async (name, id) => {
      const job = await boss.getJobById(name, id, { includeArchive: true })
      return job === null || job.state === 'failed' || job.state === 'cancelled'
    },
    everyDay: (name, cron) => boss.schedule(name, cron, {}),
    close: () => boss.stop({ timeout: 5000 }),
  }
}
