/** A picture for paper; `image` is null where it cannot be read. */
export interface PaperPhoto {
  readonly id: string
  readonly image: Buffer | null
}
