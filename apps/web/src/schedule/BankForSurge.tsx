import { surgeAbove } from '@even-watt/core'
import { useState } from 'react'
import { useTrial } from '../trials/useTrial'
import { Notice } from '../ui/Notice'
import { useSchedule } from './useSchedule'
import { percent } from './words'

/** Said before a motor is started: by the schedule as it was run, the bank holds too little for a surge test. */
export function BankForSurge() {
  const [openedAt] = useState(() => Date.now())
  const state = useSchedule(useTrial(), openedAt)
  const last = state?.stands.placed.findLast(
    (stretch) => stretch.state !== 'planned' && stretch.pieces.length,
  )
  const charge = last?.pieces.at(-1)?.charge[1]
  if (charge === undefined || charge >= surgeAbove) return null
  return (
    <Notice kind="odd" word="Bank too low">
      By the schedule as it was run the bank stands at {percent(charge)}. Surge tests need more than{' '}
      {percent(surgeAbove)}: recharge first, or say in the attempt that a low bank is meant.
    </Notice>
  )
}
