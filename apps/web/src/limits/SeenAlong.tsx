import { protectionLog, type Analysis } from '@even-watt/core'

/** Fan, alarms and trips, as they were seen along the trial. */
export function SeenAlong({ analysis }: { analysis: Analysis }) {
  const log = protectionLog(analysis)
  if (!log.length) return null
  return (
    <section className="mt-3">
      <h3 className="font-semibold">Seen along the trial</h3>
      <ul className="max-w-4xl">
        {log.map(({ what, sentence }) => (
          <li key={what}>{sentence}</li>
        ))}
      </ul>
    </section>
  )
}
