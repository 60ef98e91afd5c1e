/** A table as a scope saves it: what it was, then a row for each sample. */
export function asTable(
  rate: number,
  columns: readonly (readonly [heading: string, values: Float64Array])[],
): Uint8Array {
  const places = columns.map(([, values]) => {
    const peak = values.reduce((most, v) => Math.max(most, Math.abs(v)), 0)
    return peak > 100 ? 2 : 3
  })
  const rows = Array.from({ length: columns[0]?.[1].length ?? 0 }, (_, i) =>
    columns.map(([, values], k) => (values[i] as number).toFixed(places[k])).join(','),
  )
  return new TextEncoder().encode(
    [
      `# sample interval = ${(1 / rate).toExponential(4)} s`,
      columns.map(([heading]) => heading).join(','),
      ...rows,
      '',
    ].join('\n'),
  )
}

/** A sound of 16 bits in one channel; `full` is what its full scale stands for. */
export function asSound(rate: number, values: Float64Array, full: number): Uint8Array {
  const view = new DataView(new ArrayBuffer(44 + 2 * values.length))
  const put = (at: number, words: string) =>
    [...words].forEach((letter, i) => view.setUint8(at + i, letter.charCodeAt(0)))
  put(0, 'RIFF')
  view.setUint32(4, 36 + 2 * values.length, true)
  put(8, 'WAVEfmt ')
  view.setUint32(16, 16, true)
  view.setUint16(20, 1, true)
  view.setUint16(22, 1, true)
  view.setUint32(24, rate, true)
  view.setUint32(28, 2 * rate, true)
  view.setUint16(32, 2, true)
  view.setUint16(34, 16, true)
  put(36, 'data')
  view.setUint32(40, 2 * values.length, true)
  values.forEach((value, i) => view.setInt16(44 + 2 * i, Math.round((value / full) * 32767), true))
  return new Uint8Array(view.buffer)
}
