// Writes what is derived from other files of the tree: the ladder parser from its grammar, and the built-in units
// as one module, so that the core needs no file access.
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { fileURLToPath } from 'node:url'

const core = path.join(path.dirname(fileURLToPath(import.meta.url)), '..', 'packages', 'core')

const parserTypes = `// Written by scripts/generate.mjs.
import type { Statement } from '../diagram/ladderStatement'
export function parse(text: string): readonly Statement[]
`

export async function generate() {
  const out = path.join(core, 'generated')
  await mkdir(out, { recursive: true })
  const { default: peggy } = await import('peggy')
  const grammar = await readFile(path.join(core, 'diagram', 'ladder.peggy'), 'utf8')
  await writeIfNew(
    path.join(out, 'ladderParser.js'),
    peggy.generate(grammar, { output: 'source', format: 'es' }),
  )
  await writeIfNew(path.join(out, 'ladderParser.d.ts'), parserTypes)
  const folder = path.join(core, 'units')
  const files = (await readdir(folder)).filter((name) => name.endsWith('.ladder')).sort()
  const texts = await Promise.all(
    files.map(async (name) => [
      name.replace(/\.ladder$/, ''),
      await readFile(path.join(folder, name), 'utf8'),
    ]),
  )
  await writeIfNew(
    path.join(out, 'unitTexts.ts'),
    [
      '// Written by scripts/generate.mjs from units/*.ladder.',
      'export const unitTexts: Readonly<Record<string, string>> = {',
      ...texts.map(([name, text]) => `  ${JSON.stringify(name)}: ${JSON.stringify(text)},`),
      '}',
      '',
    ].join('\n'),
  )
}

async function writeIfNew(file, text) {
  const old = await readFile(file, 'utf8').catch(() => '')
  if (old !== text) await writeFile(file, text)
}

if (process.argv[1] === fileURLToPath(import.meta.url)) {
  await generate().catch((error) => {
    if (error.code !== 'ERR_MODULE_NOT_FOUND') throw error
    console.error('generate: npm packages are not installed yet')
  })
}
