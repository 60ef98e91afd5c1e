export type Parsed = { ok: true; value: number } | { ok: false; why: string }

/** Characters of a number as typed, spaces and all, at most. */
const longest = 100

const prefixes: Record<string, number> = { µ: 1e-6, u: 1e-6, m: 1e-3, k: 1e3, M: 1e6 }

/**
 * Reads a number as typed at the bench (docs/method/evidence.md): "12.84", "12,84", "1.2k", "850m", "−3", "1e-3".
 * At most 15 digits: more is a slip, not a reading. Never returns NaN or an infinity.
 */
export function parseNumber(typed: string): Parsed {
  if (typed.length > longest) return { ok: false, why: `"${shorten(typed)}" is too long for a number.` }
  const text = typed
    .trim()
    .replace(/[\u2212\u2013]/g, '-')
    .replace(/[\s\u00a0\u202f]/g, '')
  if (text === '') return { ok: false, why: 'A number is needed here.' }
  const match = /^([+-]?)(\d*)(?:([.,])(\d*))?(?:[eE]([+-]?\d{1,2}))?([µukmM]?)$/.exec(text)
  if (!match || (!match[2] && !match[4])) {
    return { ok: false, why: `"${shorten(typed)}" is not a number. Accepted: 12.84, 12,84, 1.2k, 850m.` }
  }
  const [, sign, integer = '', , fraction = '', exponent = '0', prefix = ''] = match
  if (integer.length + fraction.length > 15) {
    return { ok: false, why: 'Too many digits: 15 at most.' }
  }
  const value = Number(`${sign}${integer || '0'}.${fraction || '0'}e${exponent}`) * (prefixes[prefix] ?? 1)
  return Number.isFinite(value)
    ? { ok: true, value: tidy(value) }
    : { ok: false, why: 'This number is too large.' }
}

const shorten = (typed: string) => (typed.length > 24 ? `${typed.slice(0, 21)}…` : typed)

/** 850 × 0.001 is 0.8500000000000001 in binary; what was typed has 15 digits at most. */
const tidy = (value: number) => Number(value.toPrecision(15))
