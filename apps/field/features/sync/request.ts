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

/** One exchange with the server, JSON both ways. Throws Refused or NoAnswer. */
export async function request<T>(
  method: 'GET' | 'POST' | 'DELETE',
  path: string,
  body?: unknown,
): Promise<T> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method,
      credentials: 'same-origin',
      signal: AbortSignal.timeout(patienceMs),
      ...(body === undefined
        ? {}
        : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
    })
  } catch {
    throw new NoAnswer()
  }
  if (response.status === 204) return undefined as T
  const answer: unknown = await response.json().catch(() => null)
  if (response.ok) return answer as T
  if (response.status >= 502) throw new NoAnswer()
  throw new Refused(
    response.status,
    isProblem(answer) ? answer : { error: `the server answered ${response.status}` },
  )
}

/** Sends a picture. Throws Refused or NoAnswer. */
export async function sendPicture(path: string, image: Blob): Promise<void> {
  let response: Response
  try {
    response = await fetch(`/api${path}`, {
      method: 'PUT',
      credentials: 'same-origin',
      signal: AbortSignal.timeout(3 * patienceMs),
      headers: { 'content-type': image.type },
      body: image,
    })
  } catch {
    throw new NoAnswer()
  }
  if (response.ok) return
  const answer: unknown = await response.json().catch(() => null)
  if (response.status >= 502) throw new NoAnswer()
  throw new Refused(
    response.status,
    isProblem(answer) ? answer : { error: `the server answered ${response.status}` },
  )
}

const isProblem = (answer: unknown): answer is Problem =>
  typeof answer === 'object' && answer !== null && 'error' in answer && typeof answer.error === 'string'

/** Whether the server will never take it as it is, however often it is sent. */
export const isForGood = (error: unknown): error is Refused =>
  error instanceof Refused && error.status !== 401 && error.status !== 429 && error.status < 500
