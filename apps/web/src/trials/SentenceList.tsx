import { useState, type ReactNode } from 'react'
import { Struck } from './Struck'
import { TakingBack } from './TakingBack'

interface SentenceLine {
  readonly entry: string
  readonly sentence: string
  readonly note?: string | undefined
  /** Why it no longer counts. */
  readonly why?: string | undefined
}

interface Props {
  readonly lines: readonly SentenceLine[]
  /** "this test". */
  readonly what: string
  readonly editable?: boolean
  /** What stands beside a reading that counts, by its entry: its photographs. */
  readonly beside?: (entry: string) => ReactNode
}

/** Readings in sentences, each of which can be taken back; those that were stay, struck through. */
export function SentenceList({ lines, what, editable = false, beside }: Props) {
  const [takingBack, setTakingBack] = useState<string>()
  return (
    <>
      <ul className="max-w-4xl">
        {lines.map(({ entry, sentence, note, why }) => (
          <li
            key={entry}
            className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-0.5 md:flex-nowrap"
          >
            <span className={why === undefined ? '' : 'line-through'}>
              {sentence}
              {note && <span className="text-quiet"> {note}</span>}
            </span>
            {why !== undefined && !editable && <span className="text-ochre">taken back: {why}</span>}
            {editable && (
              <span className="no-print ml-auto flex flex-none items-center gap-3 whitespace-nowrap">
                {why === undefined && beside?.(entry)}
                {why === undefined ? (
                  <button type="button" className="plain-link" onClick={() => setTakingBack(entry)}>
                    Take back
                  </button>
                ) : (
                  <Struck entry={entry} why={why} what={what} />
                )}
              </span>
            )}
          </li>
        ))}
      </ul>
      <TakingBack entry={takingBack} what={what} onDone={() => setTakingBack(undefined)} />
    </>
  )
}
