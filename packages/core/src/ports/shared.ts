import { say } from '../figures'
import type { RevisionRecord } from '../trials'
import { portTests, toleranceOf } from './sweep'

const watts = (loaded: readonly { volts: number; amps: number }[]) =>
  loaded.reduce((sum, { volts, amps }) => sum + volts * amps, 0)

/** Volts that ports are made for. */
const made = [5, 9, 12, 15, 20, 24, 28, 36, 48] as const
/** The volts that a port was likely made for, by what it gives under load. */
const usual = (volts: number): number => made.find((one) => volts >= one * 0.8 && volts <= one * 1.1) ?? volts

export interface SharedLimit {
  /** W that several ports carried at once, and the least at which one gave up. */
  readonly carried: number | undefined
  readonly gaveUp: number | undefined
  readonly sentences: readonly string[]
}

/** What ports carry together: the sum is tested as well (docs/method/ports.md). */
export function sharedLimit(record: RevisionRecord): SharedLimit {
  const tests = portTests(record, 'together')
  const held = tests.filter(({ reading }) => reading.held).map(({ reading }) => watts(reading.loaded))
  const gave = tests.filter(({ reading }) => !reading.held).map(({ reading }) => watts(reading.loaded))
  return {
    carried: held.length ? Math.max(...held) : undefined,
    gaveUp: gave.length ? Math.min(...gave) : undefined,
    sentences: tests.map(({ reading }) => {
      const names = reading.loaded.map(({ port }) => port).join(' + ')
      const sum = say(watts(reading.loaded), 'W')
      const of =
        reading.limit === undefined
          ? ''
          : ` It is ${say((100 * watts(reading.loaded)) / reading.limit, '%')} of the ${say(reading.limit, 'W')} that they share.`
      const low = reading.loaded.filter(({ volts }) => volts < usual(volts) * (1 - toleranceOf(usual(volts))))
      return reading.held
        ? `${names}: ${sum} together held.${of}${low.map(({ port, volts }) => ` But ${port} fell to ${say(volts, 'V')}: too low.`).join('')}`
        : `${names}: at ${sum} together ${reading.gaveUp ?? 'one of them'} gave up.${of}`
    }),
  }
}

/** V by which a neighbour must move a port for both to hang on one supply. */
const sharesBy = 0.02

/** What loading a neighbour does to a port: whether they hang on one supply. */
export const neighbours = (record: RevisionRecord): { sentence: string; shared: boolean }[] =>
  portTests(record, 'neighbour').map(({ reading: { port, neighbour, before, after, amps } }) => {
    const shared = Math.abs(after - before) > Math.max(sharesBy, 0.004 * before)
    const by = amps === undefined ? '' : ` of ${say(amps, 'A', 2)}`
    return {
      shared,
      sentence: shared
        ? `${port} moves from ${say(before, 'V')} to ${say(after, 'V')} under a load${by} on ${neighbour}: they share a supply.`
        : `${port} stays at ${say(after, 'V')} under a load${by} on ${neighbour}.`,
    }
  })
