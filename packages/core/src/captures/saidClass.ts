import type { WaveClass } from '@even-watt/contract'

/** A class as a sentence has it. */
export const saidClass: Readonly<Record<WaveClass, string>> = {
  sine: 'a sine',
  'distorted sine': 'a distorted sine',
  stepped: 'stepped',
  square: 'square',
  'half-wave': 'a half wave',
  unknown: 'of no known class',
}
