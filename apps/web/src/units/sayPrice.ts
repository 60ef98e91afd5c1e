import type { Unit } from '@even-watt/contract'
import { plain } from '@even-watt/core'
import { shortDate } from '../ui/dates'

/** "389 EUR, 12 Mar 2026": with the day it was asked, where it is known. */
export const sayPrice = ({ amount, currency, on }: NonNullable<Unit['price']>): string =>
  [`${plain(amount)} ${currency}`, on && shortDate(on)].filter(Boolean).join(', ')
