import { usualFactor } from '../motors'

/** One of the owner's loads: what it takes while it runs, and for how many hours of a day. */
export interface NeedLine {
  readonly name: string
  /** W while it runs. */
  readonly watts: number
  /** Of a day, 0 to 24. */
  readonly hours: number
  /** Worst-cycle current of its start over running current; absent: it starts no harder than it runs. */
  readonly inrush?: number | undefined
}

/** A stretch of the day in which the same loads run. */
interface DayPart {
  readonly hours: number
  readonly watts: number
}

export interface OwnNeed {
  /** W with everything on at once. */
  readonly peak: number
  /** Wh at the outlet in a day. */
  readonly day: number
  /**
   * The day with all loads begun together, the heaviest stretch first; 24 hours in all. Loads that run one after the other
   * ask for less at once and waste more: the unit's own draw is then spread over smaller watts.
   */
  readonly parts: readonly DayPart[]
}

const day = 24

/** What an owner's loads ask of a unit, whatever unit it is; lines without watts or hours are left out. */
export function needOf(lines: readonly NeedLine[]): OwnNeed {
  const asked = lines
    .filter(({ watts, hours }) => watts > 0 && hours > 0)
    .map((line) => ({ ...line, hours: Math.min(day, line.hours) }))
  const ends = [...new Set([...asked.map(({ hours }) => hours), day])].sort((a, b) => a - b)
  const parts = ends.map((end, i) => ({
    hours: end - (ends[i - 1] ?? 0),
    watts: asked.filter(({ hours }) => hours >= end).reduce((sum, { watts }) => sum + watts, 0),
  }))
  return {
    peak: asked.reduce((sum, { watts }) => sum + watts, 0),
    day: asked.reduce((sum, { watts, hours }) => sum + watts * hours, 0),
    parts,
  }
}

/** Share of a rating that is used for good, so that a hot day and an ageing bank still find it willing. */
const usedForGood = 0.8

/** What a label should promise for an owner’s loads: W for good, and VA for the moment of the hardest start beside all else. */
export interface RatingToBuy {
  readonly watts: number
  /** Absent: nothing starts harder than it runs. */
  readonly surge?: number
}

/** _Worked:_ 1100 W at once, of them a pump of 300 W that starts with six times its amps: 1375 W, and 800 + 6·300/0.75 = 3200 VA. */
export function ratingToBuy(lines: readonly NeedLine[]): RatingToBuy {
  const { peak } = needOf(lines)
  const starts = lines
    .filter(({ watts, hours, inrush = 1 }) => watts > 0 && hours > 0 && inrush > 1)
    .map(({ watts, inrush = 1 }) => peak - watts + (inrush * watts) / usualFactor)
  return { watts: peak / usedForGood, ...(starts.length ? { surge: Math.max(...starts) } : {}) }
}
