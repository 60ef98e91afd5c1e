/** A binary heap: what is pushed comes out least first. */
export class Heap<T> {
  private readonly items: T[] = []
  constructor(private readonly less: (a: T, b: T) => boolean) {}

  push(item: T): void {
    this.items.push(item)
    let at = this.items.length - 1
    while (at > 0) {
      const parent = (at - 1) >> 1
      if (!this.lessAt(at, parent)) break
      this.swap(at, parent)
      at = parent
    }
  }

  pop(): T | undefined {
    const { items } = this
    const top = items[0]
    const last = items.pop()
    if (items.length && last !== undefined) {
      items[0] = last
      let at = 0
      for (;;) {
        const left = 2 * at + 1
        let least = left < items.length && this.lessAt(left, at) ? left : at
        if (left + 1 < items.length && this.lessAt(left + 1, least)) least = left + 1
        if (least === at) break
        this.swap(at, least)
        at = least
      }
    }
    return top
  }

  private lessAt(a: number, b: number): boolean {
    return this.less(this.items[a] as T, this.items[b] as T)
  }

  private swap(a: number, b: number): void {
    const held = this.items[a] as T
    this.items[a] = this.items[b] as T
    this.items[b] = held
  }
}
