import type { ChannelFigures, EntryOf } from '@even-watt/contract'
import { capturesOf, farAmong } from '../evidence'
import { isFigure, type Derived } from '../figures'
import { readingsOf, type Analysis } from '../trials'
import { channelOf, type Far } from '../waveform/kept'

/** A capture of the outlet's volts, and what was read when it was taken. */
export interface SeenWave {
  readonly entry: EntryOf<'capture'>
  readonly volts: ChannelFigures
  /** "nothing connected", or the load; undefined: it belongs to no reading. */
  readonly load: string | undefined
  readonly step: string | undefined
  /** Whether the unit carried that load without a warning. */
  readonly carried: boolean
  readonly P: Derived
  readonly V_B: Derived
  /** Of a start or an overload: what it did in time is asked of it, not its harmonics. */
  readonly inTime: boolean
  /** Amplitudes so far from what was read that a factor must be wrong. */
  readonly far: readonly Far[]
}

const notRead = { missing: 'It was not read.' }

/** The waves that were captured on one rig, without load first, then by the step; references and loose ones last. */
export function seenWaves({ record, noLoad, ladder }: Analysis): SeenWave[] {
  const idle = readingsOf(record, 'no load').filter(({ reading }) => reading.mode === 'on')
  const timed = new Set(
    [...readingsOf(record, 'motors'), ...readingsOf(record, 'limit')].map(
      ({ id }) => id as string | undefined,
    ),
  )
  const seen = (
    captures: readonly EntryOf<'capture'>[],
    at: Omit<SeenWave, 'entry' | 'volts' | 'far' | 'inTime'>,
    beside: Parameters<typeof farAmong>[1],
  ) =>
    captures.flatMap((entry): SeenWave[] => {
      const volts = channelOf(entry.reading, 'V_C')
      return volts
        ? [
            {
              ...at,
              entry,
              volts,
              inTime: timed.has(entry.reading.about),
              far: beside.length ? farAmong(entry, beside, record) : [],
            },
          ]
        : []
    })
  const atIdle = seen(
    capturesOf(record, idle),
    {
      load: 'nothing connected',
      step: undefined,
      carried: true,
      P: noLoad.on.read.P_C,
      V_B: noLoad.on.read.V_B,
    },
    idle,
  )
  const atSteps = ladder.steps.flatMap(({ step, load, carried, P_C, read }) =>
    seen(step.captures, { load, step: step.id, carried, P: P_C, V_B: read.V_B }, step.readings),
  )
  const placed = new Set([...atIdle, ...atSteps].map(({ entry }) => entry.id))
  const loose = readingsOf(record, 'capture').filter(({ id }) => !placed.has(id))
  return [
    ...atIdle,
    ...atSteps.sort((a, b) => wattsOf(a) - wattsOf(b)),
    ...seen(loose, { load: undefined, step: undefined, carried: true, P: notRead, V_B: notRead }, []),
  ]
}

export const wattsOf = ({ P }: Pick<SeenWave, 'P'>): number => (isFigure(P) ? P.x.value : 0)
