import { plain } from '../figures'
import type { Subject } from '../subject'
import { analyseCaptures } from './analysis'
import { wave } from './promise'
import { noticeClipped, noticeFar, noticeTooCoarse } from './oddities'

/** Waves as they were captured: what they are, why they sag, and the promise of a sine. */
export const captures = {
  kinds: {
    capture: ({ name, instrument, figures, picture }) => ({
      capture: name,
      instrument: instrument.name,
      'from a picture': picture ? 'yes' : undefined,
      wave: figures.channels.find(({ quantity }) => quantity === 'V_C')?.wave?.class,
      channels: figures.channels.map(({ quantity, rms }) => `${quantity} ${plain(rms)}`).join('; '),
      'frequency [Hz]': figures.frequency?.value,
    }),
  },
  parts: { captures: analyseCaptures },
  promises: { wave },
  oddities: [noticeFar, noticeClipped, noticeTooCoarse],
} satisfies Subject
