/** A part's settings as written on the diagram, over the kind's defaults. Reading a wrong type throws. */
export class Settings {
  private readonly lists = new Map<string, readonly string[]>()

  constructor(
    readonly part: string,
    private readonly values: Readonly<Record<string, number | string>>,
    /** Settings that are only what is usual: nobody has read the plate. */
    private readonly unread: ReadonlySet<string> = new Set(),
  ) {}

  number(name: string): number {
    const value = this.values[name]
    if (typeof value !== 'number') throw new TypeError(`${this.part}: setting “${name}” must be a number`)
    return value
  }

  text(name: string): string {
    const value = this.values[name]
    if (value === undefined) throw new TypeError(`${this.part}: setting “${name}” is missing`)
    return String(value)
  }

  /** A comma-separated setting as a list; the empty text is the empty list. */
  list(name: string): readonly string[] {
    const known = this.lists.get(name)
    if (known) return known
    const text = this.text(name)
    const list = text === '' ? [] : text.split(',')
    this.lists.set(name, list)
    return list
  }

  with(name: string, value: number | string): Settings {
    const unread = new Set([...this.unread].filter((other) => other !== name))
    return new Settings(this.part, { ...this.values, [name]: value }, unread)
  }

  isUnread(name: string): boolean {
    return this.unread.has(name)
  }

  entries(): readonly (readonly [string, number | string])[] {
    return Object.entries(this.values)
  }
}
