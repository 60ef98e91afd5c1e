import { sameFiles } from '@even-watt/core'
import { shortTime } from '../ui/dates'
import { Notice } from '../ui/Notice'
import { useTrial } from './useTrial'

/** Says of a file that was brought twice that it counts twice, until one of them is taken back. */
export function FileTwice() {
  const { view } = useTrial()
  return sameFiles(view.record).map(({ name, at }) => (
    <Notice key={at[0]} kind="odd" word="Twice">
      {name} stands here more than once: added at {at.map(shortTime).join(', ')}. Take one back, or it counts
      twice.
    </Notice>
  ))
}
