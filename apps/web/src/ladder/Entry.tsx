import type { EntryOf } from '@even-watt/contract'
import type { StepFigures } from '@even-watt/core'
import { useCallback, useImperativeHandle, useRef, useState, type Ref } from 'react'
import { CautionsFirst } from '../safety/CautionsFirst'
import { usePrompts } from '../trials/usePrompts'
import type { TakenStep } from '../plan/usePlannedNext'
import { LadderAtArmsLength } from './LadderAtArmsLength'
import type { Layout } from './columns'
import { draftOf, emptyDraft } from './draft'
import type { OwnColumns } from './ownColumns'
import { EntryRows } from './EntryRows'
import { ColumnWidths } from './StepGrid'
import { useDraft } from './useDraft'
import { useDraftPreview } from './useDraftPreview'

/** What the rest of the ladder may ask of the step being typed. */
export interface EntryHandle {
  readonly repeat: (step: StepFigures) => void
  readonly correct: (entry: EntryOf<'ladder'>) => void
  readonly armsLength: () => void
  readonly take: (planned: TakenStep) => void
}

interface Props {
  readonly handle: Ref<EntryHandle>
  /** Absent where the window has no room for columns: it is typed at arm’s length alone. */
  readonly layout: Layout | undefined
  readonly own: OwnColumns
  readonly onCaptured: () => void
}

/** The step being typed, with its own state: a key redraws these two rows and nothing else. */
export function Entry({ handle, layout, own, onCaptured }: Props) {
  const prompts = usePrompts()
  const [large, setLarge] = useState(prompts.asked)
  const firstField = useRef<HTMLInputElement>(null)
  const state = useDraft()
  const preview = useDraftPreview(state)
  const { interrupt, fields } = state
  const wide = layout !== undefined
  const close = () => {
    setLarge(false)
    prompts.done()
  }

  const begin = useCallback(
    (field: string) => {
      if (wide) document.getElementById(field)?.focus()
      else setLarge(true)
    },
    [wide],
  )
  useImperativeHandle(
    handle,
    () => ({
      repeat: (step) => {
        const last = step.step.readings.at(-1)?.reading
        if (!last) return
        interrupt({
          ...emptyDraft,
          load: last.load,
          kind: last.kind,
          uses: last.uses,
          expected: last.expected,
          step: step.step.id,
          position: last.position,
          fan: last.fan ?? '',
        })
        begin(`entry ${fields[0]?.key ?? ''}`)
      },
      correct: (entry) => {
        interrupt({
          ...draftOf(entry, fields),
          replaces: { entry: entry.id, why: 'Corrected after reading it again.' },
        })
        begin('entry load')
      },
      armsLength: () => setLarge(true),
      take: (planned) => {
        interrupt({ ...emptyDraft, ...planned })
        begin(`entry ${fields[0]?.key ?? ''}`)
      },
    }),
    [interrupt, fields, begin],
  )
  return (
    <>
      {/* A table of its own, so that a key does not lay out and paint a ladder of hundreds of rows. */}
      {layout && (
        <table
          className="no-print table-fixed border-collapse text-[0.97rem] contain-content"
          style={{ width: layout.width }}
          aria-label="Next step"
        >
          <ColumnWidths layout={layout} own={own.columns.length} />
          <tbody>
            <EntryRows
              state={state}
              preview={preview.figures}
              own={own}
              oddities={preview.oddities}
              firstField={firstField}
              onCaptured={onCaptured}
            />
          </tbody>
        </table>
      )}
      {large && (
        <CautionsFirst>
          <LadderAtArmsLength state={state} wanted={prompts.wanted} onClose={close} />
        </CautionsFirst>
      )}
    </>
  )
}
