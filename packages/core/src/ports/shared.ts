import { say } from '../figures'
import type { RevisionRecord } from '../trials'
import { portTests } from './sweep'

const watts = (loaded: readonly { volts: number; amps: number }[]) =>
  loaded.reduce((sum, { volts, amps }) => sum + volts * amps, 0)

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
      return reading.held
        ? `${names}: ${sum} together held.`
        : `${names}: at ${sum} together ${reading.gaveUp ?? 'one of them'} gave up.`
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
