import type { Oddity } from '@even-watt/core'
import { Notice } from '../ui/Notice'

/** What is odd, why it matters and what to do, one notice each; it never stops the hand. */
export function OddityNotices({ oddities }: { oddities: readonly Oddity[] }) {
  return oddities.map((oddity, i) => (
    <Notice key={i} kind="odd">
      {oddity.odd} {oddity.why} {oddity.todo}
    </Notice>
  ))
}
