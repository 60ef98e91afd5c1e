import type { EntryOf } from '@even-watt/contract'
import { shouldLight } from '../evidence'
import { bankChargeAtRest, type RestCharge } from '../supply'
import { readingsOf, type Analysis } from '../trials'

/** A gauge of charge beside what the volts at rest say. */
export interface ShownCharge {
  readonly entry: EntryOf<'no load'>
  /** Shares of charge between which the gauge says it stands: bars tell only so much. */
  readonly shown: { readonly from: number; readonly to: number }
  readonly volts: number
  readonly atRest: RestCharge
  readonly agrees: boolean
}

/** Shares by which a gauge and volts at rest may stand apart before anybody says so. */
const close = 0.1

/**
 * What the display says of the charge, with nothing connected, against the volts at the posts or terminals read meanwhile, of a
 * bank whose kind is known (docs/method/no-load.md). Idle draw loads a bank so little that it counts as at rest.
 */
export function shownCharges({ record }: Pick<Analysis, 'record'>): ShownCharge[] {
  const { bank } = record.revision.rig
  return readingsOf(record, 'no load').flatMap((entry): ShownCharge[] => {
    const { display, values } = entry.reading
    const shown = shareShown(display)
    const volts = (
      values.find(({ quantity }) => quantity === 'V_A') ?? values.find(({ quantity }) => quantity === 'V_B')
    )?.value
    const atRest = volts === undefined ? undefined : bankChargeAtRest(bank, volts)
    if (!shown || volts === undefined || !atRest) return []
    const agrees = shown.to >= atRest.low - close && shown.from <= atRest.high + close
    return [{ entry, shown, volts, atRest, agrees }]
  })
}

function shareShown(display: EntryOf<'no load'>['reading']['display']): ShownCharge['shown'] | undefined {
  if (display?.charge !== undefined) return { from: display.charge, to: display.charge }
  if (display?.chargeBars === undefined || display.chargeBarsOf === undefined) return undefined
  const { from, to } = shouldLight(display.chargeBars / display.chargeBarsOf, display.chargeBarsOf)
  return { from, to }
}
