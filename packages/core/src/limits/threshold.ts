import { notTested, type Judge } from '../findings'

/** No form reads the volts at which a unit warns or stops yet: what would show the promise is said. */
export const judgeUnreadThreshold =
  (what: 'alarm' | 'cutoff'): Judge =>
  () =>
    notTested(
      `The ${what} voltage was not tested. Lower the input slowly at a light load and note V_B at the ${what}.`,
    )
