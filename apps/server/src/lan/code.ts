import { toString } from 'qrcode'

/** An address as a code to scan: for a page, or for the terminal. */
export const codeOf = (address: string, where: 'page' | 'terminal'): Promise<string> =>
  where === 'page'
    ? toString(address, { type: 'svg', margin: 1 })
    : toString(address, { type: 'terminal', small: true })
