import { pino, type DestinationStream, type Logger, type LoggerOptions } from 'pino'

/** What is logged of anything is no longer than this, so that no line is longer than 10 kB. */
const mostOfMessage = 1500
const mostOfStack = 5000

const cut = (text: string, most: number): string => (text.length > most ? `${text.slice(0, most)} …` : text)

/** An address without what it asks for, which is contents, and without what lets somebody in by a link. */
export const addressLogged = (url: string): string =>
  cut(url.replace(/[?#].*$/s, '').replace(/(\/(?:links|join)\/)[^/]+/, '$1…'), 300)

/** A failed query carries the values that it was asked with: they are people's, and stay out of the log. */
const withoutValues = (text: string): string => text.replace(/\nparams:[\s\S]*?(?=\n {4}at |$)/, '')

interface Logged {
  readonly type: string
  readonly message: string
  readonly stack?: string
  readonly code?: unknown
  readonly cause?: Logged
}

/** An error as it is logged: what went wrong and where, without anybody's words. */
export function errorLogged(error: unknown): Logged {
  if (!(error instanceof Error)) return { type: typeof error, message: cut(String(error), mostOfMessage) }
  return {
    type: error.name,
    message: cut(withoutValues(error.message), mostOfMessage),
    stack: cut(withoutValues(error.stack ?? ''), mostOfStack),
    ...('code' in error ? { code: error.code } : {}),
    ...(error.cause === undefined ? {} : { cause: causeLogged(error.cause) }),
  }
}

const causeLogged = (cause: unknown): Logged => {
  const { stack: _, cause: __, ...rest } = errorLogged(cause)
  return rest
}

interface Asked {
  readonly id?: unknown
  readonly method?: string
  readonly url?: string
  readonly originalUrl?: string
}

/** How requests, answers and errors are written down: no cookies, no credentials, no contents. */
export const serializers = {
  req: ({ id, method, url, originalUrl }: Asked) => ({
    id,
    method,
    address: addressLogged(originalUrl ?? url ?? ''),
  }),
  res: ({ statusCode }: { readonly statusCode: number }) => ({ status: statusCode }),
  err: errorLogged,
}

/** An error that is logged by itself would bring its message along as it is. */
const hooks: LoggerOptions['hooks'] = {
  logMethod(given, write) {
    const [first, words] = given
    if (first instanceof Error)
      write.call(this, { err: first }, typeof words === 'string' ? words : first.name)
    else write.apply(this, given)
  },
}

/** The server's log. */
export const makeLogger = (level: string, to: DestinationStream = pino.destination(1)): Logger =>
  pino({ level, serializers, hooks }, to)
