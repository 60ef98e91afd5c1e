import type { Bank, Chemistry } from '@even-watt/contract'

type Known = Exclude<Chemistry, 'not known'>

/** Of 12 V of lead, of 12.8 V of lithium: rest volts at shares of charge, and V by which a rested battery may stand off them. */
interface Course {
  readonly nominal: number
  readonly course: readonly (readonly [share: number, volts: number])[]
  readonly off: number
  /** V by which it stands higher for some hours after a charge, and after how many hours that is gone. */
  readonly surface: number
  readonly rests: number
}

const courses: Readonly<Record<Known, Course>> = {
  'flooded lead-acid': {
    nominal: 12,
    course: [
      [0, 11.89],
      [0.25, 12.06],
      [0.5, 12.24],
      [0.75, 12.45],
      [1, 12.65],
    ],
    off: 0.05,
    surface: 0.4,
    rests: 6,
  },
  AGM: {
    nominal: 12,
    course: [
      [0, 11.8],
      [0.25, 12.05],
      [0.5, 12.3],
      [0.75, 12.6],
      [1, 12.85],
    ],
    off: 0.07,
    surface: 0.4,
    rests: 6,
  },
  gel: {
    nominal: 12,
    course: [
      [0, 11.8],
      [0.25, 12],
      [0.5, 12.35],
      [0.75, 12.65],
      [1, 12.85],
    ],
    off: 0.07,
    surface: 0.4,
    rests: 6,
  },
  'lithium iron phosphate': {
    nominal: 12.8,
    course: [
      [0, 10.8],
      [0.1, 12.6],
      [0.2, 12.84],
      [0.3, 13],
      [0.5, 13.14],
      [0.7, 13.24],
      [0.9, 13.32],
      [1, 13.5],
    ],
    off: 0.06,
    surface: 0.3,
    rests: 2,
  },
  'other lithium': {
    nominal: 11.1,
    course: [
      [0, 9.9],
      [0.25, 10.8],
      [0.5, 11.25],
      [0.75, 11.85],
      [1, 12.54],
    ],
    off: 0.1,
    surface: 0.15,
    rests: 1,
  },
}

/** Between which shares of charge a battery stands. */
export interface RestCharge {
  readonly low: number
  readonly likely: number
  readonly high: number
  /** Its volts were read too soon after a charge: it may hold less. */
  readonly surface: boolean
  /** h that it should have rested. */
  readonly rests: number
}

const shareAt = ({ course }: Course, volts: number): number => {
  const after = course.findIndex(([, at]) => at >= volts)
  if (after < 0) return 1
  const [b, a] = [course[after], course[after - 1]]
  if (!b || !a) return 0
  return a[0] + ((b[0] - a[0]) * (volts - a[1])) / (b[1] - a[1])
}

/**
 * Share of charge from rest volts, with what its kind leaves open (docs/method/supply.md): rested and near 25 °C a battery stands within so
 * many volts of the course of its kind; within hours of a charge it stands higher than it holds. Undefined where its kind is not
 * known.
 * @param rested h since it was last charged or loaded; absent: not known
 */
export function chargeAtRest(
  chemistry: Chemistry,
  nominal: number,
  volts: number,
  rested?: number,
): RestCharge | undefined {
  if (chemistry === 'not known') return undefined
  const course = courses[chemistry]
  const scaled = (volts * course.nominal) / nominal
  const surface = rested !== undefined && rested < course.rests
  const below = course.off + (surface ? course.surface * (1 - rested / course.rests) : 0)
  return {
    low: shareAt(course, scaled - below),
    likely: shareAt(course, scaled),
    high: shareAt(course, scaled + course.off),
    surface,
    rests: course.rests,
  }
}

/** The same of a bank whose batteries are all of one kind, by the volts across it. */
export function bankChargeAtRest(bank: Bank, volts: number, rested?: number): RestCharge | undefined {
  const [string = []] = bank.strings
  const [first] = string
  const all = bank.strings.flat()
  if (!first || all.some(({ chemistry }) => chemistry !== first.chemistry)) return undefined
  const nominal = string.reduce((sum, one) => sum + one.nominal, 0)
  return chargeAtRest(first.chemistry, nominal, volts, rested)
}

/** Share of charge under which a bank is too low for a fair test of what it feeds. */
const tooLow = 0.5

/** Whether a bank is surely too low to begin: even at the most it may hold. */
export const isTooLowToBegin = ({ high }: RestCharge): boolean => high < tooLow
