/** A suspect’s words under the name of its part: the name is not said twice. */
export const withoutName = (words: string, name: string): string =>
  name !== '' && words.startsWith(`${name}: `) ? words.slice(name.length + 2) : words
