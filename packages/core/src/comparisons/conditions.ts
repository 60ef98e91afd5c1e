import type { Quantity } from '@even-watt/contract'
import { quantityData } from '../evidence'
import { isFigure, say } from '../figures'
import { describeBank } from '../supply'
import { sharesMeter, type Compared } from './compared'
import { loadApart } from './criteria'

/** One condition, as it was for each that is compared. */
export interface Condition {
  readonly words: string
  /** In the order of what is compared. */
  readonly cells: readonly string[]
  /** Said where they are unlike: oddity 39 (docs/method/comparisons.md). */
  readonly unlike: string | undefined
}

/** Input volts whose middles are this share apart are unlike, and rooms so many K apart. */
const voltsApart = 0.03
const roomApart = 5

/** Under what each was read, and where that is unlike. */
export const conditionsOf = (list: readonly Compared[]): Condition[] => [
  sets(
    'made for',
    list.map(madeFor),
    'They do other work: compare what each watt and each of your hours costs.',
  ),
  spread('volts at the terminals', list.map(voltsOf), voltsApart, 'V', 'Losses and limits depend on them.'),
  loads(list),
  spread('room', list.map(roomOf), undefined, '°C', 'A warm unit loses more and gives up sooner.'),
  {
    ...sets('fan', list.map(fanOf), 'A fan that was not noted hides where its watts begin.'),
    cells: list.map(fanSeen),
  },
  sets('kinds of load', list.map(kindsOf), 'Meters and units treat other loads otherwise.'),
  ...(['V_B', 'I', 'P_C'] as const).map((quantity) => meters(quantity, list)),
  {
    words: 'supply',
    cells: list.map(({ analysis }) => describeBank(analysis.record.revision.rig.bank)),
    unlike: undefined,
  },
  sets('how it came', list.map(cameBy), 'One that the maker chose may not be like the ones that are sold.'),
]

interface Range {
  readonly from: number
  readonly to: number
}

/** Of what was carried, under load. */
function voltsOf({ analysis }: Compared): Range | undefined {
  return rangeOf(
    analysis.ladder.steps.flatMap(({ carried, read }) =>
      carried && isFigure(read.V_B) ? [read.V_B.x.value] : [],
    ),
  )
}

/** What was carried, in watts: what sags or distorts at full load does not at half. */
function loads(list: readonly Compared[]): Condition {
  const ranges = list.map(({ analysis }) =>
    rangeOf(
      analysis.ladder.steps.flatMap(({ carried, P_C }) => (carried && isFigure(P_C) ? [P_C.x.value] : [])),
    ),
  )
  const tops = ranges.flatMap((range) => (range ? [range.to] : []))
  const most = Math.max(...tops)
  return {
    words: 'loads',
    cells: ranges.map((range) => (range ? sayRange(range, 'W') : 'not read')),
    unlike:
      tops.length > 1 && most - Math.min(...tops) > loadApart * most
        ? 'Loads: unlike. What sags or distorts at a heavy load is not seen at a light one: volts and THD are held against each other up to the load that all carried.'
        : undefined,
  }
}

const roomOf = ({ analysis }: Compared): Range | undefined =>
  rangeOf([
    analysis.record.revision.rig.ambient,
    ...analysis.ladder.steps.flatMap(({ step }) =>
      step.readings.flatMap(({ reading }) =>
        (reading.temperatures ?? []).flatMap(({ place, celsius }) => (place === 'room' ? [celsius] : [])),
      ),
    ),
  ])

const rangeOf = (values: readonly number[]): Range | undefined =>
  values.length ? { from: Math.min(...values), to: Math.max(...values) } : undefined

const fanOf = ({ analysis }: Compared): string => {
  const seen = analysis.ladder.steps.flatMap(({ step }) =>
    step.readings.flatMap(({ reading }) => reading.fan ?? []),
  )
  return seen.length ? 'noted' : 'not noted'
}

/** From which step on it ran. */
function fanSeen(one: Compared): string {
  const ran = one.analysis.ladder.steps.flatMap(({ step, P_C }) =>
    isFigure(P_C) && step.readings.some(({ reading }) => reading.fan !== undefined && reading.fan !== 'off')
      ? [P_C.x.value]
      : [],
  )
  const noted = fanOf(one)
  return noted === 'noted' ? (ran.length ? `on at ${say(Math.min(...ran), 'W')} and above` : 'off') : noted
}

const kindsOf = ({ analysis }: Compared): string =>
  [...new Set(analysis.ladder.steps.map(({ kind }) => kind))].sort().join(', ') || 'none'

const madeFor = ({ analysis }: Compared): string => {
  const { kind, inputVoltage, outputVoltage, outputFrequency } = analysis.record.revision.unit
  const output = `${say(outputVoltage, 'V')} ${say(outputFrequency, 'Hz', 2)}`
  return inputVoltage === undefined ? `${kind}, ${output}` : `${say(inputVoltage, 'V', 2)} to ${output}`
}

const cameBy = ({ analysis }: Compared): string => {
  const { provenance } = analysis.record.revision.unit
  if (!provenance) return 'not noted'
  return `${provenance.how}${provenance.preProduction ? ', before production' : ''}`
}

function spread(
  words: string,
  ranges: readonly (Range | undefined)[],
  share: number | undefined,
  unit: string,
  why: string,
): Condition {
  const cells = ranges.map((range) => (range ? sayRange(range, unit) : 'not read'))
  const middles = ranges.flatMap((range) => (range ? [(range.from + range.to) / 2] : []))
  const [least, most] = [Math.min(...middles), Math.max(...middles)]
  const apart = middles.length > 1 && most - least > (share === undefined ? roomApart : share * most)
  const unread = middles.length < ranges.length
  return {
    words,
    cells,
    unlike: apart
      ? `${capital(words)}: unlike. ${why}`
      : unread && middles.length
        ? `${capital(words)}: not read for all of them, so nobody knows whether they are alike.`
        : undefined,
  }
}

const sayRange = ({ from, to }: Range, unit: string): string =>
  say(from, unit) === say(to, unit)
    ? say(from, unit)
    : `${say(from, unit).replace(/ \S+$/, '')} to ${say(to, unit)}`

const sets = (words: string, cells: readonly string[], why: string): Condition => ({
  words,
  cells,
  unlike: new Set(cells).size > 1 ? `${capital(words)}: unlike. ${why}` : undefined,
})

/** The meters that read a quantity; unlike ones leave nothing in common that could cancel. */
function meters(quantity: Extract<Quantity, 'V_B' | 'I' | 'P_C'>, list: readonly Compared[]): Condition {
  const words = `meter of ${quantityData[quantity].words}`
  const [first] = list
  const used = list.map(({ analysis }) => {
    const figures = analysis.ladder.steps.flatMap(({ carried, read }) =>
      carried && isFigure(read[quantity]) ? [read[quantity]] : [],
    )
    return figures.flatMap((figure) => (isFigure(figure) ? [...figure.x.sources.keys()] : []))
  })
  const same = list.every((one, i) => {
    const own = used[i]?.filter((source) => source.startsWith('spec|')) ?? []
    return first !== undefined && own.length > 0 && own.every((source) => sharesMeter(first, one, source))
  })
  const cells = list.map(
    ({ analysis }) =>
      analysis.record.revision.meters.find(({ id }) =>
        analysis.record.revision.rig.assignments.some((one) => one.quantity === quantity && one.meter === id),
      )?.name ?? 'no meter there',
  )
  const none = used.every((sources) => !sources.length)
  return {
    words,
    cells,
    unlike:
      same || none
        ? undefined
        : `${capital(words)}: not the same meter and state everywhere, so its error does not cancel.`,
  }
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)
