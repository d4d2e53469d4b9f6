import { execFile } from 'node:child_process'
import { chmod, mkdir, readdir, rename, rm } from 'node:fs/promises'
import path from 'node:path'
import { promisify } from 'node:util'
import type { Queue } from './queue'

const name = 'backup'
/** Every night, UTC. */
const when = '30 2 * * *'
const mostKept = 14
const isBackup = /^jokulgale-\d{4}-\d{2}-\d{2}\.backup$/

export interface BackupSettings {
  readonly databaseUrl: string
  /** PostgreSQL's own program for it. */
  readonly pgDump: string
  /** Where the files go; on a disk other than the database's it also helps against that disk's end. */
  readonly folder: string
}

/** Has the database backed up every night by one of its servers, and keeps the newest two weeks. */
export async function backUpEveryNight(queue: Queue, settings: BackupSettings): Promise<void> {
  await queue.take(name, async () => {
    await backUpInto(settings, new Date())
  })
  await queue.everyDay(name, when)
}

/** Writes the backup of a day, whole or not at all; gives its file. */
export async function backUpInto(
  { databaseUrl, pgDump, folder }: BackupSettings,
  now: Date,
): Promise<string> {
  // it holds everything: nobody else reads it
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const file = path.join(folder, `jokulgale-${now.toISOString().slice(0, 10)}.backup`)
  const half = `${file}.part`
  const { hostname, port, username, password, pathname } = new URL(databaseUrl)
  try {
    await promisify(execFile)(pgDump, ['--format=custom', `--file=${half}`], {
      // by its surroundings: what a program is called with can be read by everybody on the machine
      env: {
        PGHOST: hostname,
        PGPORT: port,
        PGUSER: decodeURIComponent(username),
        PGPASSWORD: decodeURIComponent(password),
        PGDATABASE: pathname.slice(1),
      },
    })
    await chmod(half, 0o600)
    await rename(half, file)
  } finally {
    await rm(half, { force: true })
  }
  const kept = (await readdir(folder)).filter((each) => isBackup.test(each)).sort()
  for (const old of kept.slice(0, -mostKept)) await rm(path.join(folder, old))
  return file
}
