import type { CaptureFigures, ChannelFigures, ChannelQuantity, EntryOf, Repeating } from '@even-watt/contract'
import { channelOf, plain, saidClass, say, shortened } from '@even-watt/core'

/** What each channel holds, as it is chosen. */
export const channelWords: Readonly<Record<ChannelQuantity, string>> = {
  V_C: 'volts at the outlet',
  V_L2: 'volts of the second leg',
  I_C: 'output current',
  V_B: 'volts at the terminals (DC)',
  I: 'input current (DC)',
}

export const unitOfChannel = (quantity: ChannelQuantity): 'V' | 'A' => (quantity.startsWith('V') ? 'V' : 'A')

const upper = (words: string) => words.charAt(0).toUpperCase() + words.slice(1)

/** "flat-topped sine", "stepped". */
export const sayClass = ({ class: kind, shape }: Pick<Repeating, 'class' | 'shape'>): string =>
  kind === 'sine' && shape
    ? `a sine, ${shape}`
    : kind === 'distorted sine' && shape
      ? `a ${shape} sine`
      : saidClass[kind]

/** The answer to a capture: "Stepped: 226 V, 50.0 Hz, THD 28.1 %." */
export function sayCapture({ channels, frequency, cycles }: CaptureFigures): string {
  const [channel] = channels
  if (!channel) return ''
  const volts = `${say(channel.rms, unitOfChannel(channel.quantity))} RMS`
  if (!channel.wave || !frequency)
    return channel.ripple
      ? `${say(channel.dc, unitOfChannel(channel.quantity))} DC, with ${say(channel.ripple.rms, unitOfChannel(channel.quantity))} of ripple.`
      : `${volts}; ${cycles ? 'no wave' : 'fewer than two whole cycles'}, so no harmonics and no class.`
  return `${upper(sayClass(channel.wave))}: ${volts}, ${say(frequency.value, 'Hz', 4)}, THD ${say(100 * channel.wave.thd, '%')}.`
}

/** What a capture is called in a list. */
export const nameOf = ({ what, reference, name }: EntryOf<'capture'>['reading']): string =>
  what ?? (reference ? `reference: ${reference}` : name)

export const outletOf = (capture: EntryOf<'capture'>['reading']): ChannelFigures | undefined =>
  channelOf(capture, 'V_C') ?? capture.figures.channels[0]

export const sayShare = (share: number): string => `${plain(shortened(100 * share, 3))} %`
