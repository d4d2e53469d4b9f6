import { commands } from './commands'

const help = `npm run -s cli -- VERB …, JSON on standard output

units                       every built-in unit with its calls
points UNIT                 its test points
faults UNIT                 what can go wrong with it, and how often each is the cause
ladder UNIT                 the unit as ladder text, to begin one of your own from
read UNIT --call CALL [--fault F]… --meter volts|loz|ohms|megohms|amps|dc|millivolts|microamps|microfarads [--power off] POINT [POINT]
                            what a meter shows; amps and microamps take the two ends of a wire, as in TS.Y1 TB.Y1
diagnose CASE.json          suspects, classes, side findings and next steps of a case file
isolate UNIT [--policy best|walk|split|pull|usual] [--fault F|all] [--noise] [--seed N]
spice UNIT --call CALL [--fault F]…
timeline UNIT --call CALL [--fault F]… [--seconds N]`

/** Runs one verb; JSON on standard output, a message on standard error and exit code 1 on bad input. */
export function run(argv: readonly string[]): { readonly out: string } | { readonly error: string } {
  const [verb, ...rest] = argv
  if (verb === undefined || verb === '--help' || verb === 'help' || rest.includes('--help'))
    return { out: help }
  const command = commands[verb]
  if (!command)
    return {
      error: `unknown verb “${verb}”; verbs: ${Object.keys(commands).join(', ')}. --help says what each takes`,
    }
  try {
    const result = command(rest)
    return { out: typeof result === 'string' ? result : JSON.stringify(result, null, 2) }
  } catch (error) {
    return { error: error instanceof Error ? error.message : String(error) }
  }
}
