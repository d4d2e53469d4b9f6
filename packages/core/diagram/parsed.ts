/** Where a text stopped making sense, and what was expected there. */
export interface SyntaxPlace {
  readonly line: number
  readonly column: number
  readonly message: string
}

interface Located {
  readonly location: { readonly start: { readonly line: number; readonly column: number } }
}

const isLocated = (error: unknown): error is Error & Located => error instanceof Error && 'location' in error

/**
 * What a generated parser makes of a text, whatever its line ends; what it cannot read goes to `refuse`,
 * which says so in the format's own words.
 */
export function parsed<T>(
  parse: (text: string) => T,
  text: string,
  refuse: (place: SyntaxPlace) => Error,
): T {
  try {
    return parse(text.replaceAll('\r\n', '\n'))
  } catch (error) {
    if (!isLocated(error)) throw error
    throw refuse({ ...error.location.start, message: error.message })
  }
}
