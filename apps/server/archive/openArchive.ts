import type { Readable } from 'node:stream'
import { open, type Entry, type ZipFile } from 'yauzl'

/** An archive cannot be brought in: which file of it, where there, and why. */
export class ArchiveError extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'ArchiveError'
  }
}

/** A ZIP archive by the names of its files. */
export interface OpenArchive {
  /** A file of it as a stream. Throws ArchiveError where there is none. */
  read(name: string): Promise<Readable>
  close(): void
}

/** Far more files than any shop has pictures: what has more is no archive of ours. */
const mostFiles = 2_000_000

/** Opens a ZIP archive on disk. Throws ArchiveError for what is none, or is not whole. */
export async function openArchive(file: string): Promise<OpenArchive> {
  const zip = await new Promise<ZipFile>((resolve, reject) => {
    open(file, { lazyEntries: true, autoClose: false, decodeStrings: true }, (error, opened) => {
      if (error) reject(new ArchiveError(`${file} is no ZIP archive, or it is not whole: ${error.message}`))
      else resolve(opened)
    })
  })
  if (zip.entryCount > mostFiles) throw new ArchiveError(`${file} has ${zip.entryCount} files in it`)
  const entries = await listed(zip)
  return {
    read: (name) => {
      const entry = entries.get(name)
      if (!entry) return Promise.reject(new ArchiveError(`${name} is not in the archive`))
      return new Promise((resolve, reject) => {
        zip.openReadStream(entry, (error, stream) => {
          if (error) reject(new ArchiveError(`${name} cannot be read: ${error.message}`))
          else resolve(stream)
        })
      })
    },
    close: () => {
      zip.close()
    },
  }
}

const listed = (zip: ZipFile): Promise<ReadonlyMap<string, Entry>> =>
  new Promise((resolve, reject) => {
    const entries = new Map<string, Entry>()
    zip.on('entry', (entry: Entry) => {
      if (entries.has(entry.fileName)) reject(new ArchiveError(`${entry.fileName} is in the archive twice`))
      entries.set(entry.fileName, entry)
      zip.readEntry()
    })
    zip.on('end', () => {
      resolve(entries)
    })
    zip.on('error', (error: Error) => {
      reject(new ArchiveError(`the archive is not whole: ${error.message}`))
    })
    zip.readEntry()
  })
