import { notTested } from '../findings'
import type { Subject } from '../subject'

/** Ports, charging and changeover. */
export const ports = {
  judges: {
    'transfer time': () =>
      notTested('The transfer time was not tested. It needs a capture of the changeover.'),
  },
} satisfies Subject
