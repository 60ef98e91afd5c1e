import { formatNumber, isFigure, say } from '../figures'
import type { SeenWave } from './seen'
import { wattsOf } from './seen'

/** The wave at one load, as far as it tells why it sags. */
interface SagRow {
  readonly load: string
  readonly watts: number
  readonly V_B: number | undefined
  readonly rms: number
  /** V at the beginning of the plateaus, or at the top of the mean cycle. */
  readonly height: number
  /** Share of the half cycle at the plateau; absent where there is none. */
  readonly width: number | undefined
  readonly droop: number | undefined
  readonly crest: number
}

interface SagCause {
  readonly cause: 'supply' | 'weak capacitors' | 'regulation used up' | 'unit' | 'nothing'
  /** With the figures it rests on. */
  readonly sentence: string
  /** Share of the volts that it takes. */
  readonly share: number
}

export interface Sag {
  readonly rows: readonly SagRow[]
  /** The largest first. */
  readonly causes: readonly SagCause[]
  /** V RMS at the heaviest load, if the terminals had stayed at what they were at the lightest. */
  readonly stiffer: number | undefined
}

/** Smaller changes of a height, a width or volts are not told from what a scope scatters. */
const told = 0.01
/** Growth of the droop from which capacitors are weak, and of the width under which it grew no more. */
const droops = 0.03
const grewNoMore = 0.01

const percent = (share: number) => `${formatNumber(Math.abs(100 * share), 1)} %`

/** V at which a plateau begins, from what is known of it between 10 and 90 % of its width. */
const beginning = ({ height, droop }: { height: number; droop: number }) =>
  (height / (1 - droop / 2)) * (1 + droop / 8)

const rowOf = ({ volts, load, V_B, ...seen }: SeenWave): SagRow | undefined => {
  const { wave, rms, dc } = volts
  if (!wave || load === undefined) return undefined
  const top = wave.cycle.reduce((most, v) => Math.max(most, Math.abs(v - dc)), 0)
  const stepped = wave.class === 'stepped' || wave.class === 'square' ? wave.plateau : undefined
  return {
    load,
    watts: wattsOf(seen),
    V_B: isFigure(V_B) ? V_B.x.value : undefined,
    rms,
    // What slopes away over the plateau is the capacitors' share, not the supply's.
    height: stepped ? beginning(stepped) : top,
    width: stepped?.share,
    droop: stepped?.droop,
    crest: top / Math.sqrt(Math.max(1e-12, rms ** 2 - dc ** 2)),
  }
}

/**
 * Why the output sags from the lightest load that was captured to the heaviest (docs/method/waveform.md): its height follows
 * the volts at the terminals (supply), its plateaus slope down (capacitors), they cannot grow wider (regulation), or the
 * height falls by itself (unit). Undefined of fewer than two loads.
 */
export function sagOf(seen: readonly SeenWave[]): Sag | undefined {
  const usable = seen.filter(
    ({ far, entry, volts }) =>
      !far.some(({ of }) => of === 'V_C') && !entry.reading.picture && !volts.clipped,
  )
  // Of a load that was captured again the last one tells.
  const last = new Map(usable.map((one) => [one.step ?? one.load, one]))
  const all = [...last.values()].flatMap((one) => rowOf(one) ?? []).sort((a, b) => a.watts - b.watts)
  // A wave that is stepped at one load and not at another tells nothing of its plateaus.
  const stepped = all.filter(({ width }) => width !== undefined)
  const rows = stepped.length > 1 ? stepped : all
  const [light] = rows
  const heavy = rows.at(-1)
  if (!light || !heavy || heavy.watts <= light.watts) return undefined
  const fell = 1 - heavy.rms / light.rms
  const height = heavy.height / light.height - 1
  const supply = light.V_B && heavy.V_B ? heavy.V_B / light.V_B - 1 : undefined
  const causes = [
    ...bySupply(light, heavy, height, supply),
    ...byCapacitors(light, heavy),
    ...byRegulation(rows, fell),
    ...byUnit(light, heavy, height, supply),
  ].sort((a, b) => b.share - a.share)
  return {
    rows,
    causes: causes.length
      ? causes
      : [
          {
            cause: 'nothing',
            share: 0,
            sentence: `From ${light.load} to ${heavy.load} the wave stays as it is: its volts change by ${percent(fell)}.`,
          },
        ],
    stiffer:
      supply !== undefined && follows(height, supply)
        ? heavy.rms / (1 + followed(height, supply))
        : undefined,
  }
}

/** Whether the height goes with the terminals: a unit that regulates holds it while they fall. */
const follows = (height: number, supply: number) => supply < -told && height < Math.min(-told, supply / 2)

/** As much of a fall of the height as the terminals explain. */
const followed = (height: number, supply: number) => Math.min(0, Math.max(height, supply))

const what = ({ width }: SagRow) => (width === undefined ? 'peak' : 'plateau')

function bySupply(light: SagRow, heavy: SagRow, height: number, supply: number | undefined): SagCause[] {
  if (supply === undefined || !follows(height, supply)) return []
  const share = -followed(height, supply)
  return [
    {
      cause: 'supply',
      share,
      sentence: `Supply: the ${what(heavy)} fell by ${percent(height)}, from ${say(light.height, '')} to ${say(heavy.height, 'V')}, as the volts at the terminals fell by ${percent(supply)}, from ${say(light.V_B ?? 0, '', 4)} to ${say(heavy.V_B ?? 0, 'V', 4)}. Shorter or thicker leads, or a stiffer bank, would raise it.`,
    },
  ]
}

function byCapacitors(light: SagRow, heavy: SagRow): SagCause[] {
  const grew = (heavy.droop ?? 0) - (light.droop ?? 0)
  if (!(grew > droops)) return []
  return [
    {
      cause: 'weak capacitors',
      // What is missing on the average of a plateau that slopes.
      share: grew / 2,
      sentence: `Weak capacitors: its plateaus slope down by ${percent(heavy.droop ?? 0)} at ${heavy.load}, by ${percent(light.droop ?? 0)} at ${light.load}. What is stored inside the unit does not last for half a cycle.`,
    },
  ]
}

function byRegulation(rows: readonly SagRow[], fell: number): SagCause[] {
  const [before, heavy] = rows.slice(-2)
  const [light] = rows
  if (!before || !heavy || !light || !(fell > told)) return []
  if (heavy.width !== undefined && before.width !== undefined && light.width !== undefined) {
    const widened = heavy.width / light.width - 1
    const last = heavy.width / before.width - 1
    if (
      rows.length < 3 ||
      widened < told ||
      Math.abs(last) > grewNoMore ||
      heavy.rms / before.rms > 1 - told / 2
    )
      return []
    return [
      {
        cause: 'regulation used up',
        share: 1 - heavy.rms / before.rms,
        sentence: `Regulation used up: its plateaus grew from ${percent(light.width)} to ${percent(heavy.width)} of the half cycle, and no wider from ${before.load} to ${heavy.load}, while the volts fell.`,
      },
    ]
  }
  if (!(heavy.crest < 0.97 * light.crest)) return []
  return [
    {
      cause: 'regulation used up',
      share: 1 - heavy.crest / light.crest,
      sentence: `Regulation used up: its tops are cut off at ${heavy.load}, crest factor ${formatNumber(heavy.crest, 2)}, against ${formatNumber(light.crest, 2)} at ${light.load}: it cannot reach the peak that a sine of its volts needs.`,
    },
  ]
}

function byUnit(light: SagRow, heavy: SagRow, height: number, supply: number | undefined): SagCause[] {
  const bySupplyToo = supply !== undefined && follows(height, supply)
  const own = height - (bySupplyToo ? followed(height, supply) : 0)
  if (!(own < -told) || (bySupplyToo && own > height / 4)) return []
  if (supply === undefined)
    return [
      {
        cause: 'unit',
        share: -own,
        sentence: `The ${what(heavy)} fell by ${percent(height)} from ${light.load} to ${heavy.load}. Whether the supply or the unit did it is not shown: read volts at the terminals with each capture.`,
      },
    ]
  return [
    {
      cause: 'unit',
      share: -own,
      sentence: bySupplyToo
        ? `The unit: the ${what(heavy)} fell by ${percent(height)}, the volts at the terminals by only ${percent(supply)}.`
        : `The unit: the ${what(heavy)} fell by ${percent(height)} by its own regulation; the volts at the terminals, which ${supply < 0 ? 'fell' : 'rose'} by ${percent(supply)}, do not explain it.`,
    },
  ]
}
