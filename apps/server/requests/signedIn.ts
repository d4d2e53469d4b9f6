import type { NextFunction, Request, Response } from 'express'
import { RequestProblem } from './problem'

declare module 'express-session' {
  interface SessionData {
    personId: string
    shopId: string
  }
}

/** Who asks: every query below is held to this shop. */
export interface Who {
  readonly personId: string
  readonly shopId: string
}

/** The person signed in. Throws RequestProblem (401). */
export function whoAsks(request: Request): Who {
  const { personId, shopId } = request.session
  if (!personId || !shopId) throw new RequestProblem(401, { error: 'sign in first' })
  return { personId, shopId }
}

export function requireSignIn(request: Request, _response: Response, next: NextFunction): void {
  whoAsks(request)
  next()
}

/** Changes come as JSON, pictures as themselves: nothing that a foreign page could send as a form. */
export function requireJson(request: Request, _response: Response, next: NextFunction): void {
  if (
    request.method !== 'GET' &&
    request.method !== 'DELETE' &&
    !request.is('application/json') &&
    !(request.method === 'PUT' && request.is('image/*'))
  )
    throw new RequestProblem(415, { error: 'send JSON' })
  next()
}
