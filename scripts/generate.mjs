// Writes what is derived from other files of the tree: the parsers from their grammars, and the built-in
// families as one module, so that the core needs no file access.
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
  const grammar = await readFile(path.join(core, 'families', 'family.peggy'), 'utf8')
  await writeFamilyTexts(peggy.generate(grammar), path.join(out, 'familyTexts.ts'))
}

/**
 * The texts of the families as a module, name of the file to its text, and the family of each unit that is a named
 * choice of one: so that a unit is found without reading all of them.
 */
async function writeFamilyTexts({ parse }, file) {
  const folder = path.join(core, 'units')
  const names = (await readdir(folder)).filter((name) => name.endsWith('.family')).sort()
  const families = await Promise.all(
    names.map(async (name) => {
      const text = await readFile(path.join(folder, name), 'utf8')
      // the first line names the family; the grammar is of what follows
      const statements = parse(text.slice(text.indexOf('\n')))
      const choices = statements.filter(({ is }) => is === 'choice').map(({ id }) => id)
      return { id: path.parse(name).name, text, choices }
    }),
  )
  const lines = [
    '// Written by scripts/generate.mjs from units/*.family.',
    'export const familyTexts: Readonly<Record<string, string>> = {',
    ...families.map(({ id, text }) => `  ${JSON.stringify(id)}: ${JSON.stringify(text)},`),
    '}',
    'export const familyOfUnit: Readonly<Record<string, string>> = {',
    ...families.flatMap(({ id, choices }) =>
      choices.map((choice) => `  ${JSON.stringify(choice)}: ${JSON.stringify(id)},`),
    ),
    '}',
    '',
  ]
  await writeIfNew(file, lines.join('\n'))
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
