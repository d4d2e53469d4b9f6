import type { RequestHandler } from 'express'
import type pg from 'pg'
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { RequestProblem } from './problem'

/** So many tries at the door a minute from one address, whichever of the servers is asked. */
export function doorLimit(pool: pg.Pool, triesPerMinute: number): RequestHandler {
  const limiter = new RateLimiterPostgres({
    storeClient: pool,
    tableName: 'door_tries',
    tableCreated: true,
    clearExpiredByTimeout: false,
    points: triesPerMinute,
    duration: 60,
  })
  return async (request, response, next) => {
    try {
      await limiter.consume(request.ip ?? '')
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error
      response.set('Retry-After', String(Math.ceil(error.msBeforeNext / 1000)))
      throw new RequestProblem(429, { error: 'too many sign-ins; wait a minute' })
    }
    next()
  }
}
