import type { Problem } from '@jokulgale/contract/problem'

/** The server said no: its status and what is wrong, field by field. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super([problem.error, ...(problem.fields ?? []).map(({ message }) => message)].join(': '))
    this.name = 'Refused'
  }
}

/** Nobody answered: no signal, or the server is down. */
export class NoAnswer extends Error {
  constructor() {
    super('No answer from the server. Your entries stay on this device and are sent later.')
    this.name = 'NoAnswer'
  }
}

const patienceMs = 20_000

/** Either the session's cookie goes with a request, or a credential in its place (RFC 6750). */
const credentials = (token: string | undefined): RequestCredentials =>
  token === undefined ? 'same-origin' : 'omit'
const bearing = (token: string | undefined): Record<string, string> =>
  token === undefined ? {} : { authorization: `Bearer ${token}` }

/**
 * One exchange with the server, JSON both ways; by `token` in place of a session. Throws Refused or
 * NoAnswer.
 */
export async function request<T>(
  method: 'GET' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
  token?: string,
): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: credentials(token),
      signal: AbortSignal.timeout(patienceMs),
      headers: { ...bearing(token), ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch {
    throw new NoAnswer()
  }
  if (response.status === 204) return undefined as T
  const answer: unknown = await response.json().catch(() => null)
  if (response.ok) return answer as T
  if (isDown(response)) throw new NoAnswer()
  throw new Refused(
    response.status,
    isProblem(answer) ? answer : { error: `the server answered ${response.status}` },
  )
}

/** Sends a picture. Throws Refused or NoAnswer. */
export async function sendPicture(path: string, image: Blob, token?: string): Promise<void> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method: 'PUT',
      credentials: credentials(token),
      signal: AbortSignal.timeout(3 * patienceMs),
      headers: { ...bearing(token), 'content-type': image.type },
      body: image,
    })
  } catch {
    throw new NoAnswer()
  }
  if (response.ok) return
  const answer: unknown = await response.json().catch(() => null)
  if (isDown(response)) throw new NoAnswer()
  throw new Refused(
    response.status,
    isProblem(answer) ? answer : { error: `the server answered ${response.status}` },
  )
}

/** Nobody is behind the address just now; 507 is the server itself, with no room on its disk. */
const isDown = ({ status }: Response): boolean => status >= 502 && status !== 507

const isProblem = (answer: unknown): answer is Problem =>
  typeof answer === 'object' && answer !== null && 'error' in answer && typeof answer.error === 'string'

/** Whether the server will never take it as it is, however often it is sent. */
export const isForGood = (error: unknown): error is Refused =>
  error instanceof Refused && error.status !== 401 && error.status !== 429 && error.status < 500
