import { notFound } from './problem'

const uuid = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

/** An identity from an address; what is none is not known. Throws RequestProblem (404). */
export const idOf = (value: unknown, what: string): string => {
  if (typeof value !== 'string' || !uuid.test(value)) throw notFound(what)
  return value
}
