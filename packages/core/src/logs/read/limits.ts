/** Bytes of a table, at most; the same as the contract's. */
export const mostLogFile = 512 * 2 ** 20
/** Rows, at most; the same as the contract's. */
export const mostRows = 1_200_000
