/** Names joined step by step; `find` gives the same name for all that hang together. */
export class Joined {
  private readonly parent = new Map<string, string>()

  find(name: string): string {
    let at = name
    for (let up = this.parent.get(at); up !== undefined && up !== at; up = this.parent.get(at)) at = up
    return at
  }

  join(a: string, b: string): void {
    this.parent.set(this.find(a), this.find(b))
  }
}
