/** Writes at each cell of a table’s rows the words of its column, for styles to show beside it. */
export function headCells(table: HTMLTableElement): void {
  const heads = headsOf(table)
  for (const body of table.tBodies)
    for (const row of body.rows) {
      let column = 0
      for (const cell of row.cells) {
        const head = heads[column] ?? ''
        if (cell.dataset['head'] !== head) cell.dataset['head'] = head
        column += cell.colSpan
      }
    }
}

/** Words of each column: those of the lowest heading over it that says anything. */
function headsOf({ tHead }: HTMLTableElement): string[] {
  const heads: string[] = []
  for (const row of tHead?.rows ?? []) {
    let column = 0
    for (const cell of row.cells) {
      const words = cell.innerText.trim().replace(/\s+/g, ' ')
      for (let end = column + cell.colSpan; column < end; column++) if (words) heads[column] = words
    }
  }
  return heads
}
