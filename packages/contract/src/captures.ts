import * as z from 'zod/mini'
import { AttachedFile } from './files'
import { Id, number, oneOf, positive, text, whole, words } from './shared'

/** Samples of one channel of a capture, at most. */
export const mostSamples = 10_000_000

/** What a channel of a capture may hold: the output, its second leg, its current, and both on the DC side. */
export const channelQuantities = ['V_C', 'V_L2', 'I_C', 'V_B', 'I'] as const
export const ChannelQuantity = oneOf('What a channel holds', channelQuantities)
export type ChannelQuantity = z.infer<typeof ChannelQuantity>

export const rawKinds = ['int16', 'int32', 'float32'] as const

/** How the numbers of a file become volts and amperes over time (docs/method/waveform.md). */
export const Recipe = z.object({
  /** Column of the times, from 0, and what one of its units is in s; absent: the rate says it. */
  time: z.optional(
    z.object({ column: whole('Column of the times', 0, 63), factor: positive('Unit of the times, s', 1e6) }),
  ),
  rate: z.optional(positive('Samples a second', 1e10)),
  /** Numbers of a file without headings or separators. */
  raw: z.optional(oneOf('Raw numbers', rawKinds)),
  channels: z
    .array(
      z.object({
        column: whole('Column of the channel', 0, 63),
        quantity: ChannelQuantity,
        /** V or A for one of the file's own units, the probe's division undone; negative: it was connected the other way. */
        factor: number('Factor', -1e9, 1e9),
      }),
    )
    .check(z.minLength(1, 'Channels: say what one column holds.'), z.maxLength(8, 'Channels: 8 at most.')),
})
export type Recipe = z.infer<typeof Recipe>

/** What recorded it. What is not known is taken as typical of its kind, and said. */
export const Instrument = z.object({
  name: words('Instrument', 80),
  /** Accuracy of its amplitudes with the probe, %. */
  percent: positive('Accuracy of its amplitudes, %', 50),
  typical: z.optional(z.boolean()),
})
export type Instrument = z.infer<typeof Instrument>

const waveClasses = ['sine', 'distorted sine', 'stepped', 'square', 'half-wave', 'unknown'] as const
export type WaveClass = (typeof waveClasses)[number]

const waveShapes = ['flat-topped', 'peaked', 'notched'] as const
export type WaveShape = (typeof waveShapes)[number]

const finite = (what: string) => number(what, -1e9, 1e9)
const share = (what: string) => number(what, -1000, 1000)

/** A wave that repeats: what its whole cycles hold. Amplitudes are RMS, phases in rad against the outlet's fundamental. */
const Repeating = z.object({
  class: z.enum(waveClasses, 'Class of the wave.'),
  shape: z.optional(z.enum(waveShapes, 'Shape of the wave.')),
  fundamental: finite('Fundamental'),
  thd: share('THD'),
  /** What noise and rounding alone would show as THD, from between the harmonics. */
  floor: share('Floor of the THD'),
  /** From the fundamental up; as many as lie below the rate / 2.5, 50 at most. */
  harmonics: z.array(finite('Harmonic')).check(z.maxLength(50, 'Harmonics: 50 at most.')),
  phases: z.array(finite('Phase')).check(z.maxLength(50, 'Phases: 50 at most.')),
  /**
   * Distortion by harmonic groups and by subgroups, and what stands between the harmonics, as shares of the fundamental's;
   * of ten or twelve steady cycles only.
   */
  groups: z.optional(
    z.object({
      thdGroups: share('THD of groups'),
      thdSubgroups: share('THD of subgroups'),
      between: share('Interharmonics'),
    }),
  ),
  /** Share of the period within 5 % of the peak around its middle. */
  dwell: share('Dwell'),
  /** Half waves that are not each other’s mirror image: RMS of the difference, share of the RMS. */
  asymmetry: share('Asymmetry'),
  /** Height at ±V, share of the half cycle there, and how far it slopes down; where it has plateaus. */
  plateau: z.optional(z.object({ height: finite('Plateau'), share: share('Width'), droop: share('Droop') })),
  /** The mean cycle, from the rising zero of the outlet’s fundamental. */
  cycle: z.array(finite('Cycle')).check(z.maxLength(256, 'Cycle: 256 points at most.')),
})
export type Repeating = z.infer<typeof Repeating>

export const ChannelFigures = z.object({
  quantity: ChannelQuantity,
  rms: finite('RMS'),
  /** Of what is above and below its mean. */
  meanAbsolute: finite('Mean of the absolute'),
  max: finite('Highest'),
  min: finite('Lowest'),
  dc: finite('Mean'),
  /** Standard deviation of single samples about the mean cycle. */
  noise: finite('Noise'),
  /** Samples stood at an extreme code: peaks are "at least". */
  clipped: z.boolean(),
  wave: z.optional(Repeating),
  /** Of a DC channel: RMS of all that moves, and of the part at twice the output frequency. */
  ripple: z.optional(
    z.object({ rms: finite('Ripple'), atTwice: z.optional(finite('Ripple at twice the frequency')) }),
  ),
})
export type ChannelFigures = z.infer<typeof ChannelFigures>

/** Points that a course holds, at most; of a longer capture each stands for several half cycles. */
const mostCourse = 800
const course = (what: string) =>
  z.optional(z.array(finite(what)).check(z.maxLength(mostCourse, `${what}: ${mostCourse} points at most.`)))

/** Over one cycle each, refreshed each half cycle: what a start or a surge did in time. */
export const Course = z.object({
  /** s from the first sample to the middle of the first cycle, between points, and of one cycle. */
  from: number('Beginning of the course, s', 0, 1e7),
  step: positive('Step of the course, s', 1e6),
  cycle: positive('Cycle of the course, s', 1000),
  /** RMS; the lowest and the highest where a point stands for several half cycles. */
  V_C: course('Volts over time'),
  I_C: course('Amperes over time'),
  /** Mean of v·i, W. */
  P: course('Watts over time'),
  /** Means of a cycle: what pulses within it is no sag. */
  V_B: course('Volts at the terminals over time'),
  I: course('Input amperes over time'),
  /** Highest mean watts over windows that fit into it, the shortest first, and the lowest volts within that window. */
  windows: z
    .array(z.object({ seconds: positive('Window, s', 1e6), W: finite('Watts'), lowest: finite('Lowest V') }))
    .check(z.maxLength(16, 'Windows: 16 at most.')),
})
export type Course = z.infer<typeof Course>

/** What core/waveform makes of the samples of a capture; worked again from the bytes it says the same. */
export const CaptureFigures = z.object({
  rate: positive('Samples a second', 1e10),
  samples: whole('Samples', 1, mostSamples),
  seconds: positive('Seconds', 1e7),
  /** Times lay more than 0.1 % of a step off: no harmonics. */
  uneven: z.boolean(),
  /** Crowding under half the rate: what is faster shows up as something slower. */
  aliased: z.boolean(),
  /** Whole cycles that the harmonics were taken from; 0: none. */
  cycles: whole('Cycles', 0, 1e7),
  frequency: z.optional(
    z.object({
      value: positive('Frequency', 1e6),
      u: number('Uncertainty of the frequency', 0, 1e6),
      /** Of the slowest and the quickest cycle. */
      low: positive('Lowest frequency', 1e6),
      high: positive('Highest frequency', 1e6),
    }),
  ),
  channels: z
    .array(ChannelFigures)
    .check(z.minLength(1, 'Channels: none.'), z.maxLength(8, 'Channels: 8 at most.')),
  /** Mean of V_C · I_C, W, where both were captured at once. */
  P: z.optional(finite('Mean power')),
  /** A changeover: the wave left its sine, and came back to one. */
  transfer: z.optional(
    z.object({ from: number('Transfer from, s', 0, 1e7), seconds: number('Transfer, s', 0, 1e6) }),
  ),
  /** Of captures of a tenth of a second and more. */
  course: z.optional(Course),
})
export type CaptureFigures = z.infer<typeof CaptureFigures>

export const references = ['grid', 'engine generator', 'another source'] as const

/** Samples over time of what a tester saw: the bytes as they came, how they are read, what follows from them. */
export const Capture = z.extend(AttachedFile, {
  /** The reading it was taken with is named by `about`; a reference belongs to none. */
  reference: z.optional(oneOf('Reference', references)),
  /** Lifted from the picture of a screen: it shows the class, and decides nothing. */
  picture: z.optional(z.boolean()),
  instrument: Instrument,
  recipe: Recipe,
  figures: CaptureFigures,
  /** Free words, such as "no load" or "rev B". */
  what: text('What it shows', 120),
})
export type Capture = z.infer<typeof Capture>

/** How the last capture of an instrument was read. */
export const RememberedRecipe = z.object({ instrument: Instrument, recipe: Recipe })
export type RememberedRecipe = z.infer<typeof RememberedRecipe>

/** What a script says in the address when it pushes the bytes of a capture. */
export const PushedCapture = z.object({
  name: words('Name of the file', 200),
  instrument: words('Instrument', 80),
  /** The reading it belongs to; absent: the last one. */
  about: z.optional(Id),
  reference: z.optional(oneOf('Reference', references)),
  rate: z.optional(
    z.pipe(z.coerce.number('Samples a second: a number above 0.'), positive('Samples a second', 1e10)),
  ),
})
export type PushedCapture = z.infer<typeof PushedCapture>
