import { run } from './run'

const result = run(process.argv.slice(2))
if ('error' in result) {
  process.stderr.write(`${result.error}\n`)
  process.exitCode = 1
} else process.stdout.write(`${result.out}\n`)
