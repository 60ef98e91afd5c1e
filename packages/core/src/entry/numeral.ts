const numeral = /^[-+−]?(\d+(\.\d*)?|\.\d+)(e[-+]?\d+)?$/i

/**
 * The number that an instrument or a logger wrote, perhaps with an exponent, a true minus or a decimal comma; NaN: it is
 * none, or one that no instrument reads (1e12 and more).
 */
export function numeralOf(cell: string, comma: boolean): number {
  const written = (comma ? cell.replace(',', '.') : cell).trim()
  if (!numeral.test(written)) return NaN
  const value = Number(written.replace('−', '-'))
  return Math.abs(value) < 1e12 ? value : NaN
}
