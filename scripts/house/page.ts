import { writeFileSync } from 'node:fs'
import path from 'node:path'

/** A table in Markdown. */
export const table = (head: readonly string[], body: readonly (readonly (string | number)[])[]): string =>
  [head, head.map(() => '---'), ...body].map((row) => `| ${row.join(' | ')} |`).join('\n')

/** Writes a file of `docs`; measuring programs are run from the root. */
export const writeDocs = (name: string, text: string): void => {
  writeFileSync(path.resolve('docs', name), text)
}
