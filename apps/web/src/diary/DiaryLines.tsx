import type { DiaryLine, StoredDiary } from '@even-watt/contract'
import { say } from '@even-watt/core'
import { shortDate } from '../ui/dates'
import { RemoveButton } from '../ui/form'
import { ProblemNotice } from '../ui/Notice'
import { useSaveDiary } from './useSaveDiary'

const unitOf: Partial<Record<DiaryLine['what'], string>> = { cycles: 'cycles', energy: 'Wh' }

/** The lines of a diary, the newest day first; one that is wrong can be taken out, and had back. */
export function DiaryLines({ diary }: { diary: StoredDiary | undefined }) {
  const { save, problem } = useSaveDiary()
  if (!diary?.lines.length)
    return (
      <p className="max-w-prose">
        Nothing is written yet: cycles and energy now and then, faults on their day, a repair, new firmware.
      </p>
    )
  const lines = [...diary.lines].sort((a, b) => b.on.localeCompare(a.on))
  return (
    <>
      {problem && <ProblemNotice problem={problem} />}
      <ul>
        {lines.map((line) => (
          <li key={line.id} className="flex flex-wrap gap-x-4 border-b border-rule py-1">
            <span className="w-28 whitespace-nowrap">{shortDate(line.on)}</span>
            <span className="text-quiet w-20">{line.what}</span>
            <span className="min-w-0 flex-1 break-words">
              {line.value !== undefined && (
                <span className="figures mr-3">{say(line.value, unitOf[line.what] ?? '')}</span>
              )}
              {line.words}
            </span>
            <RemoveButton
              className="no-print"
              what={`the line of ${shortDate(line.on)}: ${line.words}`}
              onRemove={() =>
                void save(diary.id, diary, (all) => all.filter(({ id }) => id !== line.id), 'taken out')
              }
            />
          </li>
        ))}
      </ul>
    </>
  )
}
