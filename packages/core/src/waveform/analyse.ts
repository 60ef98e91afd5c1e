import type { CaptureFigures, ChannelFigures, Repeating } from '@even-watt/contract'
import { isAliased } from './aliasing'
import { basicsOf, unevenBasics } from './basics'
import { isClipped } from './clipping'
import { classify } from './classify'
import { Basis } from './basis'
import { amplitudeOf, meanProduct, phaseOf, rounding } from './components'
import { Folding, type MeanCycle } from './cycle'
import { evened } from './evened'
import { groupsIn } from './groups'
import { courseOf } from './course'
import { plateauOf } from './plateau'
import { transferIn } from './transfer'
import { harmonicsAt, type Sampled, type SampledChannel } from './samples'
import { cyclesOf, wanders, type Cycles, type Window } from './windows'

/** Figures of a capture, and the mean cycle of each channel that repeats with what it moved between. */
export interface Analysed {
  readonly figures: CaptureFigures
  readonly cycles: readonly (MeanCycle | undefined)[]
}

/** Told how far it is, 0 to 1; throwing from it ends the work. */
type Progress = (share: number) => void

const isDc = ({ quantity }: Pick<SampledChannel, 'quantity'>) => quantity === 'V_B' || quantity === 'I'

/** Points that a capture keeps of each mean cycle. */
const keptPoints = 128

/**
 * All figures of a capture (docs/method/waveform.md): of each channel RMS, mean, peaks; where it holds two whole cycles,
 * frequency, harmonics, THD with its floor, class, plateau, mean cycle; of volts and amperes together the mean power; of a tenth
 * of a second and more the course. Channels hold V and A, as many samples each, at least two.
 */
export function analyseCapture(sampled: Sampled, progress: Progress = () => undefined): Analysed {
  const { dt, times, channels } = sampled
  const rate = 1 / dt
  const samples = channels[0]?.x.length ?? 0
  const course = courseOf(sampled)
  const shared = {
    rate,
    samples,
    seconds: samples * dt,
    uneven: times !== undefined,
    ...(course && { course }),
  }
  const leader = channels.find((channel) => !isDc(channel)) ?? channels[0]
  const found = times || !leader ? undefined : cyclesOf(leader.x, rate)
  progress(0.4)
  if (!found || !leader) {
    const plainly = channels.map(({ quantity, x }): ChannelFigures => {
      const basics = times ? unevenBasics(x, times) : basicsOf(x)
      return { quantity, ...basics, noise: 0, clipped: isClipped(x), ...rippleOf(quantity, basics) }
    })
    return {
      figures: { ...shared, aliased: false, cycles: 0, channels: plainly },
      cycles: channels.map(() => undefined),
    }
  }
  const even = wanders(found) ? stretched(channels, leader, found.crossings) : undefined
  const looked = even?.channels ?? channels
  const windows = even?.windows ?? found.windows
  const lead = looked[channels.indexOf(leader)] as SampledChannel
  const repeating = looked.map((channel, i): Repeats => {
    progress(0.5 + (0.5 * i) / channels.length)
    const found = repeats(channel, lead, windows, isDc(leader))
    return even ? found : withGroups(found, channel, windows[0])
  })
  const [volts, amps] = (['V_C', 'I_C'] as const).map((quantity) =>
    looked.findIndex((c) => c.quantity === quantity),
  )
  const P =
    volts !== undefined && amps !== undefined && volts >= 0 && amps >= 0
      ? meanPower(looked[volts] as SampledChannel, looked[amps] as SampledChannel, windows)
      : undefined
  return {
    figures: {
      ...shared,
      aliased: !isDc(leader) && isAliased(leader.x),
      cycles: even ? found.crossings.length - 1 : found.used,
      frequency: frequencyOf(found, rate),
      ...transferOf(leader, rate),
      channels: repeating.map(({ figures }, i) => {
        const { max, min } = basicsOf((channels[i] as SampledChannel).x)
        return { ...figures, max, min, clipped: isClipped((channels[i] as SampledChannel).x) }
      }),
      ...(P === undefined ? {} : { P }),
    },
    cycles: repeating.map(({ cycle }) => cycle),
  }
}

function transferOf({ quantity, x }: SampledChannel, rate: number): Pick<CaptureFigures, 'transfer'> {
  const transfer = quantity === 'V_C' ? transferIn(x, rate) : undefined
  return transfer ? { transfer } : {}
}

/** A clock in an instrument is trusted to this share. */
const clock = 1e-4

function frequencyOf(cycles: Cycles, rate: number): CaptureFigures['frequency'] {
  const { perSample, slowest, quickest, used } = cycles
  const n = perSample.length
  const value = (perSample.reduce((sum, f) => sum + f, 0) / n) * rate
  const scatter =
    n > 1 ? Math.sqrt(perSample.reduce((sum, f) => sum + (f * rate - value) ** 2, 0) / (n - 1) / n) : 0
  // A single window shows by its cycles how far they differ.
  const alone = n > 1 ? 0 : ((quickest - slowest) * rate) / used
  return {
    value,
    u: Math.hypot(scatter, alone, (clock * value) / Math.sqrt(3)),
    // Of a steady wave single cycles differ by noise only.
    low: rate * (wanders(cycles) ? slowest : Math.min(...perSample)),
    high: rate * (wanders(cycles) ? quickest : Math.max(...perSample)),
  }
}

/** Every channel with its cycles made equally long. */
function stretched(
  channels: readonly SampledChannel[],
  leader: SampledChannel,
  crossings: readonly number[],
): { channels: SampledChannel[]; windows: Window[] } | undefined {
  const made = channels.map(({ quantity, x }) => ({ quantity, ...evened(x, crossings) }))
  const lead = made[channels.indexOf(leader)]
  if (!lead) return undefined
  const basis = new Basis((2 * Math.PI) / lead.perCycle, harmonicsAt(1, lead.perCycle), lead.x.length)
  const components = basis.components(lead.x)
  return components && { channels: made, windows: [{ from: 0, basis, components }] }
}

/** Windows in which noise is looked for, at most: it is much the same in all. */
const mostNoise = 16

interface Repeats {
  readonly figures: ChannelFigures
  readonly cycle: MeanCycle
}

/** One channel over all windows; phases and the cycle begin where the leader's fundamental rises through zero. */
function repeats(
  { quantity, x }: SampledChannel,
  lead: SampledChannel,
  windows: readonly Window[],
  ofRipple: boolean,
): Repeats {
  const folding = new Folding()
  const count = windows[0]?.basis.H ?? 0
  const telling = Math.ceil(windows.length / mostNoise)
  const squares = new Float64Array(count)
  const turned = Array.from({ length: count }, () => [0, 0] as [number, number])
  const sum = { square: 0, dc: 0, noise: 0, absolute: 0, windows: 0, noisy: 0 }
  windows.forEach(({ from, basis, components: leading }, i) => {
    const components = x === lead.x ? leading : basis.components(x, from)
    if (!components) return
    const { w, N } = basis
    const phase = phaseOf(leading)
    folding.add(x, w, phase, from, from + N)
    sum.square += meanProduct(components, components, sumOfProducts(x, x, from, N), N)
    sum.dc += components.dc
    sum.absolute += wholeMeanAbsolute(x, components.dc, w, from, from + N)
    sum.windows++
    if (i % telling === 0) {
      sum.noise += basis.noise(x, components, from)
      sum.noisy++
    }
    for (let h = 1; h <= count; h++) {
      const size = amplitudeOf(components, h)
      const angle = phaseOf(components, h) - h * phase
      squares[h - 1] = (squares[h - 1] as number) + size ** 2 / 2
      const turn = turned[h - 1] as [number, number]
      turn[0] += size * Math.cos(angle)
      turn[1] += size * Math.sin(angle)
    }
  })
  const rms = Math.sqrt(Math.max(0, sum.square / sum.windows))
  const mean = sum.dc / sum.windows
  const cycle = folding.mean()
  const harmonics = [...squares].map((square) => Math.sqrt(square / sum.windows))
  const figures = {
    quantity,
    rms,
    meanAbsolute: sum.absolute / sum.windows,
    dc: mean,
    noise: cycle.noise,
    max: 0,
    min: 0,
    clipped: false,
  }
  const basics = { rms, dc: mean }
  if (isDc({ quantity }))
    return { cycle, figures: { ...figures, ...rippleOf(quantity, basics, harmonics[ofRipple ? 0 : 1]) } }
  const floor = Math.sqrt((sum.noise / sum.noisy) * Math.max(0, count - 1))
  const least = rounding * (harmonics[0] ?? 0)
  const phases = turned.map(([re, im], i) => ((harmonics[i] ?? 0) > least ? Math.atan2(im, re) : 0))
  return {
    cycle,
    figures: {
      ...figures,
      wave: waveOf(
        {
          ...basics,
          harmonics: harmonics.map((size) => (size > least ? size : 0)),
          phases,
          floor: floor > least ? floor : 0,
        },
        cycle,
      ),
    },
  }
}

/** With what the first window holds beside its harmonics. */
function withGroups({ figures, cycle }: Repeats, { x }: SampledChannel, window: Window | undefined): Repeats {
  const own = window && figures.wave && window.basis.components(x, window.from)
  const groups = own && groupsIn(x, { ...window, components: own })
  return groups && figures.wave
    ? { cycle, figures: { ...figures, wave: { ...figures.wave, groups } } }
    : { figures, cycle }
}

function waveOf(
  {
    rms,
    dc,
    harmonics,
    phases,
    floor,
  }: { rms: number; dc: number; harmonics: number[]; phases: number[]; floor: number },
  { mean }: MeanCycle,
): Repeating {
  const fundamental = harmonics[0] ?? 0
  const about = mean.map((v) => v - dc)
  const peak = about.reduce((most, v) => Math.max(most, Math.abs(v)), 0)
  const thd = fundamental > 0 ? Math.hypot(...harmonics.slice(1)) / fundamental : 0
  const plateau = plateauOf(about)
  const dwell = timeWithin(about, 0.05 * peak)
  const moving = Math.sqrt(Math.max(0, rms ** 2 - dc ** 2))
  const told = { fundamental, thd, harmonics, phases, dwell, ...(plateau && { plateau }) }
  return {
    ...told,
    ...classify({ ...told, plateau, rms, dc, crest: moving > 0 ? peak / moving : 0 }),
    floor: fundamental > 0 ? floor / fundamental : 0,
    asymmetry: moving > 0 ? Number((mirrorError(about) / moving).toFixed(9)) : 0,
    cycle: Array.from({ length: keptPoints }, (_, i) =>
      Number((((mean[2 * i] as number) + (mean[2 * i + 1] as number)) / 2).toPrecision(5)),
    ),
  }
}

/** RMS of half the sum of the two half cycles: 0 where the one is the other's mirror image. */
function mirrorError(cycle: Float64Array): number {
  const half = cycle.length / 2
  let sum = 0
  for (let i = 0; i < half; i++) sum += (((cycle[i] as number) + (cycle[i + half] as number)) / 2) ** 2
  return Math.sqrt(sum / half)
}

/** Share of the cycle within ± a level, counted between its points. */
function timeWithin(cycle: Float64Array, level: number): number {
  const n = cycle.length
  let inside = 0
  for (let i = 0; i < n; i++) {
    const [a, b] = [cycle[i] as number, cycle[(i + 1) % n] as number]
    const [low, high] = [Math.min(a, b), Math.max(a, b)]
    inside +=
      high - low < 1e-300
        ? Number(Math.abs(a) <= level)
        : Math.max(0, Math.min(high, level) - Math.max(low, -level)) / (high - low)
  }
  return inside / n
}

function rippleOf(
  quantity: SampledChannel['quantity'],
  { rms, dc }: { rms: number; dc: number },
  atTwice?: number,
): Pick<ChannelFigures, 'ripple'> {
  if (!isDc({ quantity })) return {}
  return {
    ripple: {
      rms: Math.sqrt(Math.max(0, rms ** 2 - dc ** 2)),
      ...(atTwice === undefined ? {} : { atTwice }),
    },
  }
}

function sumOfProducts(x: Float64Array, y: Float64Array, from: number, N: number): number {
  let sum = 0
  for (let i = from; i < from + N; i++) sum += (x[i] as number) * (y[i] as number)
  return sum
}

/** Mean of the distance from the mean over exactly whole cycles: the last sample counts for the share that is left. */
function wholeMeanAbsolute(x: Float64Array, dc: number, w: number, from: number, to: number): number {
  const cycle = (2 * Math.PI) / w
  const exact = Math.round((to - from) / cycle) * cycle
  let sum = 0
  for (let i = from; i < to; i++) sum += Math.abs((x[i] as number) - dc)
  // Samples stand for the time around them; what the record has too much or too little lies at its end.
  const over = exact - (to - from)
  const last = Math.abs((x[Math.min(to, x.length - 1)] as number) - dc)
  return (sum + over * last) / exact
}

function meanPower(
  volts: SampledChannel,
  amps: SampledChannel,
  windows: readonly Window[],
): number | undefined {
  const powers = windows.flatMap(({ from, basis }) => {
    const [v, i] = [basis.components(volts.x, from), basis.components(amps.x, from)]
    return v && i ? meanProduct(v, i, sumOfProducts(volts.x, amps.x, from, basis.N), basis.N) : []
  })
  return powers.length ? powers.reduce((sum, p) => sum + p, 0) / powers.length : undefined
}
