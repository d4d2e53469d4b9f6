// Writes what is derived from other files of the tree: the ladder parser from its grammar, and the built-in units
// as one module, so that the core needs no file access.
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises'
import path from 'node:path'
import { fileURLToPath } from 'node:url'

const core = path.join(path.dirname(fileURLToPath(import.meta.url)), '..', 'packages', 'core')

/** A parser and the type of what it reads. */
const parsers = [
  {
    grammar: 'diagram/ladder.peggy',
    out: 'ladderParser',
    types: `// Written by scripts/generate.mjs.
import type { Statement } from '../diagram/ladderStatement'
export function parse(text: string): readonly Statement[]
`,
  },
  {
    grammar: 'families/family.peggy',
    out: 'familyParser',
    types: `// Written by scripts/generate.mjs.
import type { FamilyStatement } from '../families/familyStatement'
export function parse(text: string): readonly FamilyStatement[]
`,
  },
]

export async function generate() {
  const out = path.join(core, 'generated')
  await mkdir(out, { recursive: true })
  const { default: peggy } = await import('peggy')
  for (const { grammar, out: name, types } of parsers) {
    const text = await readFile(path.join(core, grammar), 'utf8')
    const source = peggy.generate(text, { output: 'source', format: 'es' })
    await writeIfNew(path.join(out, `${name}.js`), source)
    await writeIfNew(path.join(out, `${name}.d.ts`), types)
  }
  await writeTexts('ladder', 'unitTexts', path.join(out, 'unitTexts.ts'))
  await writeTexts('family', 'familyTexts', path.join(out, 'familyTexts.ts'))
}

/** The unit texts of one kind as a module: name of the file to its text. */
async function writeTexts(kind, constant, file) {
  const folder = path.join(core, 'units')
  const names = (await readdir(folder)).filter((name) => name.endsWith(`.${kind}`)).sort()
  const texts = await Promise.all(names.map((name) => readFile(path.join(folder, name), 'utf8')))
  const lines = names.map(
    (name, k) => `  ${JSON.stringify(path.parse(name).name)}: ${JSON.stringify(texts[k])},`,
  )
  const head = [
    `// Written by scripts/generate.mjs from units/*.${kind}.`,
    `export const ${constant}: Readonly<Record<string, string>> = {`,
  ]
  await writeIfNew(file, [...head, ...lines, '}', ''].join('\n'))
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
