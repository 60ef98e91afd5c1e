import { formatNumber, say, sayDuration, type NextReading } from '@even-watt/core'

type Cost = Pick<NextReading['open'], 'readings' | 'minutes' | 'wattHours'>

/** "1 reading, about 2 min, 25 Wh." */
export function sayCost({ readings, minutes, wattHours }: Cost): string {
  const time = `about ${sayDuration(60 * Math.max(1, Math.round(minutes)))}`
  const energy = wattHours >= 1 ? `, ${say(wattHours, 'Wh', 2)}` : ''
  return `${formatNumber(readings, 0)} ${readings === 1 ? 'reading' : 'readings'}, ${time}${energy}.`
}
