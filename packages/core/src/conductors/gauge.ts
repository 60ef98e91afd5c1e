import type { Gauge } from '@even-watt/contract'
import { awgArea, formatAwg, parseAwg } from './awg'

/** Cross-section in m². */
export const gaugeArea = (gauge: Gauge): number =>
  (gauge.unit === 'AWG' ? awgArea(gauge.number) : gauge.area) * 1e-6

/** As it is bought, and typed again: "16 mm²", "4/0 AWG". */
export const formatGauge = (gauge: Gauge): string =>
  gauge.unit === 'AWG' ? `${formatAwg(gauge.number)} AWG` : `${gauge.area} mm²`

export type ParsedGauge = { ok: true; gauge: Gauge } | { ok: false; why: string }

/**
 * Reads a gauge as typed: "16 mm²", "16mm2", "4 AWG", "4/0", "0000". A bare number is asked about, never
 * guessed, and a thickness in mm is not taken for an area (docs/method/conductors.md no. 30).
 */
export function parseGauge(typed: string): ParsedGauge {
  if (typed.length > 60) return { ok: false, why: unknownGauge }
  const text = typed.trim().toLowerCase().replace(',', '.')
  const metric = /^(\d+(?:\.\d+)?)\s*(?:mm²|mm2|mm\^2|sq\s*mm)$/.exec(text)
  if (metric) {
    const area = Number(metric[1])
    return area > 0 && area <= 2000
      ? { ok: true, gauge: { unit: 'mm²', area } }
      : { ok: false, why: 'Area: above 0 and up to 2000 mm².' }
  }
  if (/^\d+(\.\d+)?\s*mm$/.test(text)) {
    return { ok: false, why: 'mm is a thickness. Give the area in mm², or the AWG number.' }
  }
  const named = /^(?:awg\s*)?(\S+?)\s*(?:awg)?$/.exec(text)
  const n = named?.[1] === undefined ? undefined : parseAwg(named[1])
  const saysAwg =
    text.includes('awg') || text.includes('/0') || /^0{1,4}$/.test(text) || /^-[1-3]$/.test(text)
  if (n !== undefined && saysAwg) return { ok: true, gauge: { unit: 'AWG', number: n } }
  if (/^\d+(\.\d+)?$/.test(text))
    return { ok: false, why: `Is "${typed.trim()}" in mm² or AWG? Add the unit.` }
  return { ok: false, why: unknownGauge }
}

const unknownGauge = 'Gauge: an area such as "16 mm²", or an AWG number such as "4 AWG" or "4/0".'

/** A size where it can be read; undefined where nobody typed one, or not as a size. */
export function gaugeOf(typed: string | undefined): Gauge | undefined {
  const parsed = typed === undefined ? undefined : parseGauge(typed)
  return parsed?.ok ? parsed.gauge : undefined
}

/** What is said of a size that cannot be read. */
export const badSize = 'Size: mm² or AWG, as in “1.5 mm²” or “16 AWG”.'
