/** The grid’s sine, a gap, and a unit’s own: V at a time, s. */
export interface ChangeoverModel {
  readonly peak: number
  readonly frequency: number
  /** s at which the grid is gone, and for how long nothing comes. */
  readonly at: number
  readonly gap: number
  /** rad by which its own sine lies elsewhere. */
  readonly phase: number
}

/** V over time: what is left in the gap dies away. */
export function changeover({ peak, frequency, at, gap, phase }: ChangeoverModel, seconds: number): number {
  const w = 2 * Math.PI * frequency
  if (seconds < at) return peak * Math.sin(w * seconds)
  if (seconds < at + gap) return peak * Math.sin(w * at) * Math.exp(-(seconds - at) / 0.0006)
  return 0.985 * peak * Math.sin(w * seconds + phase)
}

/** W of a search mode over time: a short pulse every so often, and next to nothing between. */
export const searching =
  ({ sleeps, pulse, every, lasts }: { sleeps: number; pulse: number; every: number; lasts: number }) =>
  (seconds: number): number =>
    seconds % every < lasts ? pulse : sleeps

/** Its mean over whole cycles. */
export const searchMean = ({
  sleeps,
  pulse,
  every,
  lasts,
}: {
  sleeps: number
  pulse: number
  every: number
  lasts: number
}): number => sleeps + ((pulse - sleeps) * lasts) / every
