/** Names joined step by step; `find` gives the same name for all that hang together. */
export class Joined {
  private readonly parent = new Map<string, string>()

  find(name: string): string {
    let at = name
    for (let up = this.parent.get(at); up !== undefined && up !== at; up = this.parent.get(at)) {
      // each name on the way is hung one step higher, so that ways stay short
      const above = this.parent.get(up)
      if (above !== undefined) this.parent.set(at, above)
      at = up
    }
    return at
  }

  join(a: string, b: string): void {
    this.parent.set(this.find(a), this.find(b))
  }
}
