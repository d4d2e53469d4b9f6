import { array, lazy, type Schema } from 'yup'

/**
 * A list of at most so many: a longer one is refused by its length, before any of it is looked at. What a request costs
 * is bounded by what it may hold.
 */
export const boundedList = <T>(item: Schema<T>, most: number, name: string) =>
  lazy((given: unknown) =>
    Array.isArray(given) && given.length > most
      ? array().max(most, `send at most ${most} ${name} at once`).required()
      : array().of(item).min(1, `${name} is empty`).required(`${name} is missing`),
  )
