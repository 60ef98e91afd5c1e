import type { Capture, ChannelFigures, EntryOf, Value } from '@even-watt/contract'
import { distortionRange, instrumentId } from './instrument'

/** What keeps the amplitudes of a capture from being used: how far they are from what a meter read. */
export interface Far {
  readonly of: 'V_C' | 'I_C' | 'P_C' | 'V_B' | 'I'
  readonly captured: number
  readonly read: number
  /** The power of ten between them, where it is one. */
  readonly tens: number | undefined
}

/** A capture whose volts differ by more than this share from a meter's has the wrong factor or range. */
export const near = 0.1
/** The same against the label, where no meter read: a unit may truly be off. */
const nearLabel = 0.3

/**
 * Whether the volts of a capture are far from those read on a meter, or without one from the label's (V RMS): its probe
 * factor or range is then wrong. Undefined where they are not, or it holds no volts of the outlet.
 */
export function farFrom(
  capture: Pick<Capture, 'figures'>,
  read: number | undefined,
  nominal: number,
): Far | undefined {
  const captured = channelOf(capture, 'V_C')?.rms
  const should = read ?? nominal
  if (captured === undefined || !(should > 0) || !(captured > 0)) return undefined
  if (Math.abs(captured / should - 1) <= (read === undefined ? nearLabel : near)) return undefined
  return { of: 'V_C', captured, read: should, tens: tensBetween(captured, should) }
}

/** The power of ten by which one differs from the other, where it is one. */
export function tensBetween(captured: number, should: number): number | undefined {
  const power = Math.log10(should / captured)
  const tens = Math.round(power)
  return tens !== 0 && Math.abs(power - tens) < 0.06 ? 10 ** tens : undefined
}

export const channelOf = (
  { figures }: Pick<Capture, 'figures'>,
  quantity: ChannelFigures['quantity'],
): ChannelFigures | undefined => figures.channels.find((channel) => channel.quantity === quantity)

/** Samples a cycle under which a class may be told, but no distortion. */
const tellsDistortion = 50

/**
 * What a capture reads at its step, each value on its instrument (docs/method/waveform.md): true RMS, frequency, distortion,
 * and of two channels watts and power factor. Its amplitudes are left out where they are `far`; what was lifted from a picture
 * is estimated.
 */
export function valuesIn({ id, reading, at }: EntryOf<'capture'>, far: boolean): Value[] {
  const { figures, picture, instrument } = reading
  const value = (quantity: Value['quantity'], amount: number, range: string): Value => ({
    quantity,
    value: amount,
    grade: picture ? 'estimated' : 'measured',
    meter: instrumentId(instrument.name),
    range,
    at,
  })
  const volts = channelOf(reading, 'V_C')
  const amps = channelOf(reading, 'I_C')
  const { frequency, P, rate } = figures
  const values: Value[] = []
  if (volts?.wave && frequency && volts.wave.harmonics.length >= 2) {
    values.push(value('f', frequency.value, 'frequency'))
    if (!volts.clipped && !figures.aliased && rate / frequency.value >= tellsDistortion)
      values.push(value('THD', volts.wave.thd, distortionRange(id)))
  }
  if (volts && amps && P !== undefined && volts.rms * amps.rms > 0)
    values.push(value('PF', Math.min(1, P / (volts.rms * amps.rms)), 'power factor'))
  if (far) return values
  for (const { quantity, rms, dc, clipped } of figures.channels) {
    // Half a cycle has an RMS that depends on where it was cut.
    if (clipped || (!figures.cycles && !figures.uneven && quantity.endsWith('_C'))) continue
    if (quantity === 'V_C') values.push(value('V_C', rms, 'AC voltage'))
    if (quantity === 'I_C') values.push(value('I_C', rms, 'AC current'))
    if (quantity === 'V_B') values.push(value('V_B', dc, 'DC voltage'))
    if (quantity === 'I') values.push(value('I', dc, 'DC current'))
  }
  if (P !== undefined && !volts?.clipped && !amps?.clipped) values.push(value('P_C', P, 'active power'))
  return values
}
