import { plain } from './format'

/** "2 s", "4 min 20 s", "10 min", "2 h". */
export function sayDuration(seconds: number): string {
  const whole = Math.round(seconds)
  if (seconds < 60) return `${plain(seconds)} s`
  const parts = [
    [Math.floor(whole / 3600), 'h'],
    [Math.floor((whole % 3600) / 60), 'min'],
    [whole % 60, 's'],
  ] as const
  return parts
    .filter(([amount]) => amount > 0)
    .map(([amount, unit]) => `${amount} ${unit}`)
    .join(' ')
}
