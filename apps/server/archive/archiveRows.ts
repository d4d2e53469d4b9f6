import Ajv, { type ValidateFunction } from 'ajv/dist/2020.js'
import addFormats from 'ajv-formats'
import { isKeepable } from '@jokulgale/core/visit/entrySchema'
import { ArchiveError, type OpenArchive } from './openArchive'
import { archiveSchemas, type ArchiveFile } from './schemas'

const ajv = new Ajv({ allErrors: false, strict: true, allowUnionTypes: true })
addFormats(ajv)

/** Longer than any row may be by its schema. */
const longestLine = 1_000_000

/** The rows of one file of an archive, each checked by its schema. Throws ArchiveError with file and line. */
export async function* archiveRows<Row>(archive: OpenArchive, file: ArchiveFile): AsyncIterable<Row> {
  const fits = ajv.compile<Row>(archiveSchemas[file])
  const name = file === 'shop' ? 'shop.json' : `${file}.jsonl`
  let number = 0
  for await (const line of linesOf(await archive.read(name), name)) {
    number += 1
    if (line.trim() !== '') yield parsed(fits, line, `${name}, line ${number}`)
  }
}

function parsed<Row>(fits: ValidateFunction<Row>, line: string, where: string): Row {
  let value: unknown
  let isWhole = true
  try {
    value = JSON.parse(line, (name, each: unknown) => {
      if (!isKeepable(name) || (typeof each === 'string' && !isKeepable(each))) isWhole = false
      return each
    })
  } catch (error) {
    throw new ArchiveError(`${where}: no JSON: ${error instanceof Error ? error.message : String(error)}`)
  }
  if (!isWhole) throw new ArchiveError(`${where}: has a character that cannot be kept as text`)
  if (fits(value)) return value
  const [first] = fits.errors ?? []
  throw new ArchiveError(
    `${where}: ${first?.instancePath ?? ''} ${first?.message ?? 'does not fit its schema'}`,
  )
}

/** A stream line by line; a line that never ends is refused before it fills the memory. */
async function* linesOf(stream: AsyncIterable<Buffer | string>, name: string): AsyncIterable<string> {
  const decoder = new TextDecoder('utf-8', { fatal: true })
  let rest = ''
  try {
    for await (const chunk of stream) {
      rest += typeof chunk === 'string' ? chunk : decoder.decode(chunk, { stream: true })
      const lines = rest.split('\n')
      rest = lines.pop() ?? ''
      yield* lines
      if (rest.length > longestLine) throw new ArchiveError(`${name}: a line is too long`)
    }
    rest += decoder.decode()
  } catch (error) {
    if (error instanceof ArchiveError) throw error
    throw new ArchiveError(
      `${name} cannot be read: ${error instanceof Error ? error.message : String(error)}`,
    )
  }
  if (rest !== '') yield rest
}
