import type { StoredLoad } from '@even-watt/contract'
import { predictedInrush, startGround, willItStart, type Analysis, type StartAnswer } from '@even-watt/core'

/** A machine of the shelf that was not tried on this rig yet. */
export interface Untried {
  readonly load: StoredLoad
  /** VA that its start asks for, at most. */
  readonly asks: number
  readonly expected: StartAnswer
}

/** Machines of the shelf for this unit's volts that were not tried yet, from light to heavy, with what is expected. */
export function untriedFrom(shelf: readonly StoredLoad[], analysis: Analysis): Untried[] {
  const { phase, outputVoltage } = analysis.record.revision.unit
  const volts = phase === 'split' ? [outputVoltage / 2, outputVoltage] : [outputVoltage]
  const tried = new Set(analysis.motors.attempts.map(({ entry }) => entry.reading.load.toLowerCase()))
  const ground = startGround(analysis)
  return shelf
    .flatMap((load): Untried[] => {
      const inrush = predictedInrush(load)
      const fits = volts.some((one) => Math.abs(one / load.volts - 1) < 0.15)
      if (!inrush || !fits || tried.has(load.name.toLowerCase())) return []
      const asks = Number.isFinite(inrush.to) ? inrush.to : inrush.from
      return [{ load, asks, expected: willItStart(load, ground) }]
    })
    .sort((a, b) => a.asks - b.asks)
}
