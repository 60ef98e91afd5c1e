/** Where a document is used: names, at most some of them, and how many there are in all. */
export interface DocumentUses {
  readonly by: readonly string[]
  readonly total: number
  /** What uses it points at it, so it cannot be deleted before it is taken out there. */
  readonly held: boolean
}
