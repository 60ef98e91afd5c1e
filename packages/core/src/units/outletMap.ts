import type { Unit } from '@even-watt/contract'
import { say } from '../figures'
import { ratedPower } from './claims'

/** What is printed at an outlet: watts as they are, or of volts and amps. */
export interface Rating {
  readonly volts?: number
  readonly amps?: number
  readonly watts?: number
}

const units = { V: 'volts', A: 'amps', W: 'watts' } as const

/** "12 V 10 A", "100W", "USB block 100 W"; undefined where it names neither amps nor watts. */
export function parseRating(text: string): Rating | undefined {
  const rating: { volts?: number; amps?: number; watts?: number } = {}
  for (const [, figure, unit] of text.slice(0, 100).matchAll(/(\d{1,6}(?:[.,]\d{1,3})?) ?([VAW])\b/g))
    rating[units[unit as keyof typeof units]] = Number(figure?.replace(',', '.'))
  return rating.amps === undefined && rating.watts === undefined ? undefined : rating
}

interface MappedOutlet {
  readonly what: string
  readonly count: number
  /** W that each may give; an outlet without volts of its own has those of the unit. Undefined: nothing is printed. */
  readonly watts: number | undefined
  readonly sentence: string
}

export interface OutletMap {
  readonly outlets: readonly MappedOutlet[]
  /** What several may give together, and what the outlets come to against the rating, in sentences. */
  readonly together: readonly string[]
}

type Asked = Pick<Unit, 'outlets' | 'outputVoltage' | 'claims'>

const wattsOf = ({ watts, amps, volts }: Rating, nominal: number): number | undefined =>
  watts ?? (amps === undefined ? undefined : amps * (volts ?? nominal))

/** Where power comes out: what each may give, what several share, and whether an outlet carries the whole rating (docs/method/units.md). */
export function outletMap(unit: Asked): OutletMap {
  const lines = (unit.outlets ?? []).map((one) => {
    const rating = one.rated === undefined ? undefined : parseRating(one.rated)
    const watts = rating && wattsOf(rating, unit.outputVoltage)
    return { ...one, count: one.count ?? 1, rating, watts }
  })
  return {
    outlets: lines.map(({ what, count, watts, rated }) => ({
      what,
      count,
      watts,
      sentence: watts === undefined ? '' : `${rated}: ${say(watts, 'W')}${count > 1 ? ' each' : ''}`,
    })),
    together: [...shared(lines, unit.outputVoltage), ...againstRating(lines, unit)],
  }
}

type Line = MappedLine & { readonly what: string; readonly shares?: string | undefined }
interface MappedLine {
  readonly count: number
  readonly watts: number | undefined
  readonly rating: Rating | undefined
}

/** Permitted totals of those that share a limit. */
function shared(lines: readonly Line[], nominal: number): string[] {
  const groups = new Map<string, Line[]>()
  for (const line of lines) {
    const name = line.shares?.trim().toLowerCase()
    if (name !== undefined) groups.set(name, [...(groups.get(name) ?? []), line])
  }
  return [...groups.values()].flatMap((group) => {
    const [first] = group
    const rating = first?.shares === undefined ? undefined : parseRating(first.shares)
    const limit = rating && wattsOf(rating, nominal)
    const names = group.map(({ what, count }) => (count > 1 ? `${count} × ${what}` : what)).join(' and ')
    if (limit === undefined) return []
    const known = group.every(({ watts }) => watts !== undefined)
    const all = group.reduce((sum, { watts = 0, count }) => sum + watts * count, 0)
    return [
      known && all > limit
        ? `${names} share ${say(limit, 'W')}; by themselves they would give ${say(all, 'W')}.`
        : `${names} share ${say(limit, 'W')}.`,
    ]
  })
}

/** Outlets of the mains kind: those whose volts are the unit’s own. */
function againstRating(lines: readonly Line[], unit: Asked): string[] {
  const rated = ratedPower(unit)
  const mains = lines.filter(
    ({ rating, watts }) => watts !== undefined && rating?.volts === undefined && rating?.amps !== undefined,
  )
  if (rated === undefined || !mains.length) return []
  const all = mains.reduce((sum, { watts = 0, count }) => sum + watts * count, 0)
  const most = Math.max(...mains.map(({ watts = 0 }) => watts))
  return [
    all < rated
      ? `Its mains outlets carry ${say(all, 'W')} together: less than its ${say(rated, 'W')}.`
      : most < rated
        ? `One outlet carries ${say(most, 'W')} of its ${say(rated, 'W')}: for more, load several.`
        : `Each mains outlet carries ${say(most, 'W')}, its whole ${say(rated, 'W')}.`,
  ]
}
