/** A part, by what a unit calls it and by what its kind is called. */
interface Named {
  readonly words: string
  readonly kind: { readonly words: string }
}

/** What may stand between a name and what is said of the named. */
const joint = /^(’s |, | )/

/**
 * Something said of a part, with the part before it: `Low-pressure switch 1: in`. Where it begins with the
 * part's own name, the name stands once.
 */
export function partFirst({ words, kind }: Named, said: string): string {
  // a detector, a capacitor: what it is, without of what sort
  const lastWord = kind.words.slice(kind.words.lastIndexOf(' ') + 1)
  const name = [words, kind.words, lastWord].find(
    (each) => said.toLowerCase().startsWith(each.toLowerCase()) && joint.test(said.slice(each.length)),
  )
  return `${words}: ${name === undefined ? said : said.slice(name.length).replace(joint, '')}`
}
