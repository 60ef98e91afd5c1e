/** Bare diameter of an AWG number in mm: 0.127·92^((36 − n)/39); 1/0 is 0, 2/0 is −1, 4/0 is −3 (docs/method/conductors.md). */
const awgDiameter = (n: number): number => 0.127 * 92 ** ((36 - n) / 39)

/** Cross-section of an AWG number in mm². */
export const awgArea = (n: number): number => (Math.PI / 4) * awgDiameter(n) ** 2

/** The nearest AWG number of a cross-section in mm². */
export const nearestAwg = (area: number): number =>
  Math.round(36 - 39 * (Math.log(Math.sqrt((4 * area) / Math.PI) / 0.127) / Math.log(92)))

/** "4/0" and "0000" are −3; "1/0" and "0" are 0. Undefined where the text is no AWG number. */
export function parseAwg(text: string): number | undefined {
  const slash = /^([1-4])\/0$/.exec(text)
  if (slash) return 1 - Number(slash[1])
  if (/^0{1,4}$/.test(text)) return 1 - text.length
  if (!/^(-[1-3]|\d{1,2})$/.test(text)) return undefined
  const n = Number(text)
  return n <= 40 ? n : undefined
}

/** How the trade writes it: 4, 1/0, 4/0. */
export const formatAwg = (n: number): string => (n > 0 ? String(n) : `${1 - n}/0`)
