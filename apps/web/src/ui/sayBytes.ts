import { formatNumber } from '@even-watt/core'
const units = ['bytes', 'kB', 'MB', 'GB'] as const

/** A number of bytes as a person says it: 870 bytes, 1.4 MB. */
export function sayBytes(bytes: number): string {
  const power = bytes < 1 ? 0 : Math.min(units.length - 1, Math.floor(Math.log(bytes) / Math.log(1024)))
  const value = bytes / 1024 ** power
  return `${power && value < 10 ? formatNumber(value, 1) : Math.round(value)} ${units[power]}`
}
