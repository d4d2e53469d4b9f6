/** A person as a document names them. */
export const personWords = ({
  name,
  licence,
}: {
  readonly name: string
  readonly licence: string
}): string => (licence ? `${name}, licence ${licence}` : name)
