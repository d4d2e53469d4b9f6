import type { NextFunction, Request, Response } from 'express'
import { ValidationError, type Schema } from 'yup'
import type { Problem } from '@jokulgale/contract/problem'

/** A request that cannot be taken, with its status and what is wrong. */
export class RequestProblem extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
  ) {
    super(problem.error)
    this.name = 'RequestProblem'
  }
}

export const notFound = (what: string): RequestProblem =>
  new RequestProblem(404, { error: `${what} is not known in this shop` })

/** The checked value. Throws RequestProblem (400) that names each field. */
export async function checked<T>(schema: Schema<T>, value: unknown): Promise<T> {
  try {
    return await schema.validate(value, { abortEarly: false, strict: true })
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error
    const inner = error.inner.length > 0 ? error.inner : [error]
    throw new RequestProblem(400, {
      error: 'the request is not right',
      fields: inner.map(({ path, message }) => ({ field: path ?? '', message })),
    })
  }
}

const statusOf = (error: unknown): number => {
  if (typeof error === 'object' && error !== null && 'status' in error && typeof error.status === 'number')
    return error.status
  return 500
}

/** PostgreSQL's own word for a disk with no room (disk_full), wherever it was wrapped. */
const isFull = (error: unknown): boolean =>
  typeof error === 'object' &&
  error !== null &&
  (('code' in error && error.code === '53100') || ('cause' in error && isFull(error.cause)))

/** Turns whatever was thrown into an answer; what is our own fault is reported, not told. */
export const answerProblems =
  (report: (error: unknown) => void) =>
  (error: unknown, _request: Request, response: Response, next: NextFunction): void => {
    if (response.headersSent) {
      next(error)
      return
    }
    if (error instanceof RequestProblem) {
      response.status(error.status).json(error.problem)
      return
    }
    if (isFull(error)) {
      report(error)
      response.status(507).json({
        error:
          'the server’s disk is full: nothing was changed; what was entered stays on its device and is sent when there is room',
      } satisfies Problem)
      return
    }
    const status = statusOf(error)
    if (status >= 400 && status < 500) {
      response.status(status).json({
        error: status === 413 ? 'the request is too large' : 'the request cannot be read: send JSON',
      } satisfies Problem)
      return
    }
    report(error)
    response
      .status(500)
      .json({ error: 'something went wrong here; nothing was changed; try again' } satisfies Problem)
  }
