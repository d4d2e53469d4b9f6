import { ValidationError } from 'yup'
import type { CaseFile } from '../visit/entry'
import { caseFileSchema } from '../visit/entrySchema'

/** A case file that cannot be used: which field, and what it should be. */
export class CaseFileError extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'CaseFileError'
  }
}

/** Reads a case file's text. Throws CaseFileError. */
export function readCaseFile(text: string): CaseFile {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch (error) {
    throw new CaseFileError(`not JSON: ${error instanceof Error ? error.message : String(error)}`)
  }
  try {
    return caseFileSchema.validateSync(data, { abortEarly: false, strict: true }) as CaseFile
  } catch (error) {
    if (error instanceof ValidationError)
      throw new CaseFileError(
        error.errors
          .map((message, k) => `${error.inner[k]?.path ?? error.path ?? 'case'}: ${message}`)
          .join('\n'),
      )
    throw error
  }
}
