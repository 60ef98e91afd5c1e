import { useState } from 'react'
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
}

/** Readings in sentences, each of which can be taken back; those that were stay, struck through. */
export function SentenceList({ lines, what, editable = false }: Props) {
  const [takingBack, setTakingBack] = useState<string>()
  return (
    <>
      <ul className="max-w-4xl">
        {lines.map(({ entry, sentence, note, why }) => (
          <li key={entry} className="flex items-baseline gap-x-3 border-b border-rule py-0.5">
            <span className={why === undefined ? '' : 'line-through'}>
              {sentence}
              {note && <span className="text-quiet"> {note}</span>}
            </span>
            {why !== undefined && !editable && <span className="text-ochre">taken back: {why}</span>}
            {editable && (
              <span className="no-print ml-auto whitespace-nowrap">
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
