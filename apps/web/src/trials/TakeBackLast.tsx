import { isReading } from '@even-watt/contract'
import { useState } from 'react'
import { shortTime } from '../ui/dates'
import { answer } from '../ui/answers'
import { useKey } from '../ui/keys'
import { namesIn } from './naming'
import { useStages } from './stageContext'
import { TakingBack } from './TakingBack'
import { useTrial } from './useTrial'

/** Ctrl+Z, wherever something was captured: the last reading that stands is taken back, once its reason is said. */
export function TakeBackLast() {
  const { entries, view } = useTrial()
  const stages = useStages()
  const [asked, setAsked] = useState<{ readonly id: string; readonly what: string }>()
  useKey(
    (event) =>
      event.key.toLowerCase() === 'z' &&
      (event.ctrlKey || event.metaKey) &&
      !event.shiftKey &&
      document.querySelector('[data-history]') === null,
    () => {
      const last = entries.findLast((entry) => isReading(entry) && !view.record.struckWhy.has(entry.id))
      if (!last) return answer('Nothing was captured that could be taken back.')
      return setAsked({
        id: last.id,
        what: `“${namesIn(stages, last) ?? last.kind}” of ${shortTime(last.at)}`,
      })
    },
  )
  return <TakingBack entry={asked?.id} what={asked?.what ?? ''} onDone={() => setAsked(undefined)} />
}
