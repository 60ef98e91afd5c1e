import { mostSamples } from '../limits'

/** One column of a file, in the file's own units. */
interface Column {
  readonly heading: string
  readonly values: Float64Array
}

/** What a file holds, before anybody said what it means. */
export interface Columns {
  readonly columns: readonly Column[]
  /** Samples a second, where the file says it. */
  readonly rate?: number
  /** Size of the last printed digit of each column's first rows: times are no finer. */
  readonly digits?: readonly number[]
  /** What was left out or filled in, in sentences. */
  readonly notes: readonly string[]
  /** Whether numbers are shares of full scale, as in WAV, whose volts are to be typed. */
  readonly ofFullScale?: boolean
}

/** A file that cannot be taken, with why and what is taken, in a sentence. */
export class Unreadable extends Error {}

export const tooMany = (): Unreadable =>
  new Unreadable(
    `It holds more than ${mostSamples / 1e6} million samples a channel: save a shorter record, or one of fewer samples a second.`,
  )
