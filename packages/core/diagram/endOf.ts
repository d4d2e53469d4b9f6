import { earth } from '../parts/effect'

/** The name of a terminal of a part, or of a point inside it, in a unit; the metal is one for all. */
export const endOf = (part: string, name: string): string => {
  if (name === earth) return earth
  return name.startsWith('~') ? `${part}${name}` : `${part}.${name}`
}
