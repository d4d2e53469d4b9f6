import { commands } from './commands'

/** Runs one verb; JSON on standard output, a message on standard error and exit code 1 on bad input. */
export function run(argv: readonly string[]): { readonly out: string } | { readonly error: string } {
  const [verb, ...rest] = argv
  const command = commands[verb ?? '']
  if (!command) return { error: `unknown verb “${verb ?? ''}”; verbs: ${Object.keys(commands).join(', ')}` }
  try {
    const result = command(rest)
    return { out: typeof result === 'string' ? result : JSON.stringify(result, null, 2) }
  } catch (error) {
    return { error: error instanceof Error ? error.message : String(error) }
  }
}

if (require.main === module) {
  const result = run(process.argv.slice(2))
  if ('error' in result) {
    process.stderr.write(`${result.error}\n`)
    process.exitCode = 1
  } else process.stdout.write(`${result.out}\n`)
}
