/** A number as typed, with a comma or a point; `OL` is infinite. Nothing where nothing was typed. */
export function numberTyped(text: string): number | undefined {
  const plain = text.trim().replace(',', '.')
  if (plain === '') return undefined
  return plain.toUpperCase() === 'OL' ? Infinity : Number(plain)
}
