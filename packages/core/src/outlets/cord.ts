import type { EntryOf, OutletOf } from '@even-watt/contract'
import { conductorResistance, flexibleStranding, formatGauge, gaugeOf } from '../conductors'
import { readFigures } from '../evidence'
import { derive, isFigure, say, type Derived } from '../figures'
import { subtract } from '../meters'
import { onMeter } from '../motors'
import { scopeOf, type Analysis } from '../trials'
import { mainsAmpacity } from './mainsSizes'
import { outletTests } from './tests'

/** A drop over a cord, at the amps of one moment. */
interface CordDrop {
  readonly amps: number
  readonly volts: number
  /** Of what stands at the outlet. */
  readonly share: number
  /** W that it turns into heat. */
  readonly heat: number
  readonly from: 'read' | 'size and length'
}

export interface CordFigures {
  readonly entry: EntryOf<'outlet'>
  readonly cord: string
  /** V between its ends while the load ran, on the meter that reads volts at the outlet. */
  readonly drop: Derived
  readonly running: CordDrop | undefined
  readonly starting: CordDrop | undefined
  /** Ω of both conductors, as read and by size and length at 20 °C. */
  readonly ohms: number | undefined
  readonly expectedOhms: number | undefined
  /** Share of what is missing at its end, against no load, that it takes itself. */
  readonly ofSag: number | undefined
  readonly carries: number | undefined
  readonly sentences: readonly string[]
}

/** A cord this many times over what its copper should have has a bad joint or is thinner than it says. */
const tooMuch = 1.5
/** More of a sag than this is its doing; less than the other is not. */
const explains = { most: 0.7, little: 0.3 }

/** What cords take, running and starting, as read or else by size and length (docs/method/outlets.md). */
export const cordsOf = (analysis: Analysis): CordFigures[] =>
  outletTests(analysis.record, 'cord').map(({ entry, reading }) => {
    const gauge = gaugeOf(reading.size)
    const expectedOhms =
      gauge && reading.length
        ? 2 *
          conductorResistance({
            gauge,
            length: reading.length,
            runs: 1,
            material: 'copper',
            strandingFactor: flexibleStranding,
          })
        : undefined
    const { outputVoltage } = analysis.record.revision.unit
    const at = (amps: number | undefined, from: number | undefined, to: number | undefined) =>
      amps === undefined ? undefined : dropOf(amps, from, to, expectedOhms, outputVoltage)
    const running = at(reading.amps, reading.atOutlet, reading.atEnd)
    const starting = at(reading.startAmps, reading.startAtOutlet, reading.startAtEnd)
    const ohms = running?.from === 'read' ? running.volts / reading.amps : undefined
    const none = analysis.noLoad.on.read.V_C
    const missing = isFigure(none) && reading.atEnd !== undefined ? none.x.value - reading.atEnd : undefined
    const ofSag =
      running?.from === 'read' && missing !== undefined && missing > 0 ? running.volts / missing : undefined
    const carries = reading.carries ?? (gauge && mainsAmpacity(gauge))
    const figures = {
      entry,
      cord: reading.cord,
      drop: readDrop(entry, reading, analysis),
      running,
      starting,
      ohms,
      expectedOhms,
      ofSag,
      carries,
    }
    return { ...figures, sentences: told(figures, reading, missing) }
  })

function readDrop(
  { id }: EntryOf<'outlet'>,
  { atOutlet, atEnd }: OutletOf<'cord'>,
  analysis: Analysis,
): Derived {
  const { record, ladder } = analysis
  const read = (volts: number | undefined, where: string): Derived =>
    volts === undefined
      ? { missing: 'It was not read at both of its ends.' }
      : readFigures(
          [{ entry: id, values: [onMeter('V_C', volts, record.revision)] }],
          ladder.context,
          ladder.context.spreads,
          `${id} ${where}|${scopeOf(record)}`,
        ).V_C
  const [outlet, end] = [read(atOutlet, 'outlet'), read(atEnd, 'end')]
  if (!isFigure(outlet)) return outlet
  if (!isFigure(end)) return end
  return derive(
    'ΔV of a cord',
    'V',
    'V at the outlet − V at its end',
    [outlet, end],
    subtract(outlet.x, end.x),
  )
}

function dropOf(
  amps: number,
  from: number | undefined,
  to: number | undefined,
  ohms: number | undefined,
  nominal: number,
): CordDrop | undefined {
  const read = from !== undefined && to !== undefined
  const volts = read ? from - to : ohms === undefined ? undefined : amps * ohms
  if (volts === undefined) return undefined
  return {
    amps,
    volts,
    share: volts / (from ?? nominal),
    heat: volts * amps,
    from: read ? 'read' : 'size and length',
  }
}

const percent = (share: number) => say(100 * share, '%', 2)

function told(
  { cord, running, starting, ohms, expectedOhms, ofSag, carries }: Omit<CordFigures, 'sentences'>,
  { amps, startAmps, started, load, size }: OutletOf<'cord'>,
  missing: number | undefined,
): string[] {
  const by = (drop: CordDrop) => (drop.from === 'read' ? 'takes' : 'should take, by its size and length,')
  const gauge = gaugeOf(size)
  return [
    ...(running
      ? running.volts < 0
        ? [
            `${cord}: its end reads higher than the outlet, which cannot be. Were the two read the other way round?`,
          ]
        : [
            `${cord} ${by(running)} ${say(running.volts, 'V')} (${percent(running.share)}) at ${say(amps, 'A')}: ${say(running.heat, 'W')} of heat in it.`,
          ]
      : [`${cord}: read volts at the outlet and at its end, or type its size and length.`]),
    ...(starting
      ? [
          `In the start ${say(starting.amps, 'A')} ${starting.from === 'read' ? 'took' : 'would take'} ${say(starting.volts, 'V')} (${percent(starting.share)}).`,
        ]
      : startAmps === undefined
        ? []
        : ['What it takes in the start needs its volts then, or its size and length.']),
    ...(started === undefined
      ? []
      : [`${load ?? 'The load'} ${started ? 'started' : 'did not start'} on it.`]),
    ...(ohms !== undefined && expectedOhms !== undefined
      ? [
          ohms > tooMuch * expectedOhms
            ? `It has ${say(ohms, 'Ω', 2)}; copper of that size and length has ${say(expectedOhms, 'Ω', 2)}. Look for a bad plug, or thinner copper.`
            : `It has ${say(ohms, 'Ω', 2)}; copper of that size and length has ${say(expectedOhms, 'Ω', 2)}.`,
        ]
      : []),
    ...(ofSag !== undefined && missing !== undefined && running && running.volts >= 0
      ? [
          `${say(missing, 'V', 2)} are missing at its end against no load: ${percent(Math.min(1, ofSag))} of that is the cord. ${
            ofSag >= explains.most
              ? 'It explains the sag.'
              : ofSag <= explains.little
                ? 'It does not explain the sag: the outlet sags itself.'
                : 'It explains a part; the outlet sags too.'
          }`,
        ]
      : running?.from === 'read' && running.volts >= 0
        ? ['Whether it explains a sag needs the volts at no load.']
        : []),
    ...(carries !== undefined && amps > carries
      ? [
          `${say(amps, 'A')} is more than it carries (${say(carries, 'A', 2)}${gauge ? ` for ${formatGauge(gauge)}` : ''}): stop, and unroll or replace it.`,
        ]
      : []),
  ]
}
