import { formatNumber } from '../figures'
/** V below which an internal link holds nothing that hurts or sparks (docs/method/safety.md). */
const deadBelow = 5

/** Whether a link that was read may be touched, and what to do, in a sentence. */
export function sayLink(volts: number): { readonly dead: boolean; readonly sentence: string } {
  const across = Math.abs(volts)
  if (across < deadBelow)
    return { dead: true, sentence: `Read at ${formatNumber(across, 1)} V, below ${deadBelow} V: it is dead.` }
  return {
    dead: false,
    sentence: `It still holds ${formatNumber(across, 0)} V: touch nothing. Discharge it through a resistor of some kΩ rated for it, on insulated clips, wait, and read it again.`,
  }
}
