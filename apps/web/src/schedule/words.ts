import type { BlockKind, PlacedPart } from '@even-watt/contract'
import type { Stretch } from '@even-watt/core'
import { formatNumber } from '@even-watt/core'

export const capital = (words: string): string => (words[0]?.toUpperCase() ?? '') + words.slice(1)

const partWords: Record<PlacedPart, string> = {
  recharge: 'recharge',
  'cool-down': 'cool-down',
  'draw down': 'draw the bank down',
  overnight: 'recharge overnight',
}

/** "Ladder", "Recharge, before motors". */
export const sayStretch = ({ kind, part }: { kind: BlockKind; part: Stretch['part'] }): string =>
  part ? `${capital(partWords[part])}, before ${kind}` : capital(kind)

export const sayPart = (part: PlacedPart): string => capital(partWords[part])

export const percent = (share: number): string => `${formatNumber(share * 100, 0)} %`

/** Minutes to the whole one, from a minute on; hours beyond two, days beyond two. */
export function sayLength(ms: number): string {
  const minutes = ms / 60_000
  if (minutes < 1) return `${Math.round(ms / 1000)} s`
  const whole = Math.round(minutes)
  if (whole >= 48 * 60) return `${Math.round(whole / 1440)} days`
  if (whole < 120) return `${whole} min`
  const rest = whole % 60
  return rest ? `${Math.floor(whole / 60)} h ${rest} min` : `${whole / 60} h`
}
