import { DiaryLine, diaryKinds, sentences, type StoredDiary, type StoredUnit } from '@even-watt/contract'
import { format } from 'date-fns'
import { useState } from 'react'
import { v7 } from 'uuid'
import { safeParse } from 'zod/mini'
import { readNumber, same, SelectField, TextField } from '../ui/form'
import { ProblemNotice } from '../ui/Notice'
import { useKept } from '../ui/useKept'
import { useSaveDiary } from './useSaveDiary'

const blank = () => ({ on: format(new Date(), 'yyyy-MM-dd'), what: 'note', value: '', words: '' })
type Typed = ReturnType<typeof blank>

/** A new line of the diary. */
export function DiaryForm({ unit, diary }: { unit: StoredUnit; diary: StoredDiary | undefined }) {
  const { save, saving, problem } = useSaveDiary()
  const { typed, ...kept } = useKept(`diary ${unit.id}`, blank())
  const [faults, setFaults] = useState<ReadonlyMap<string, string>>(new Map())
  const put = (change: Partial<Typed>) => {
    kept.put({ ...typed, ...change })
    setFaults(new Map())
  }
  const counts = typed.what === 'cycles' || typed.what === 'energy'
  const submit = async () => {
    // A second press of the same line.
    if (saving) return
    const value = readNumber(typed.value)
    if (counts && value.why !== undefined) return setFaults(new Map([['value', value.why]]))
    if (counts && value.value === undefined)
      return setFaults(new Map([['value', 'Type the figure that is read on that day.']]))
    const line = safeParse(DiaryLine, {
      id: v7(),
      on: typed.on,
      what: typed.what,
      words: typed.words.trim() || (counts ? 'read' : ''),
      ...(counts ? { value: value.value } : {}),
    })
    if (!line.success)
      return setFaults(new Map(sentences(line.error).map(({ path, message }) => [path, message])))
    const now = diary ?? { name: unit.name, lines: [] }
    if (!(await save(unit.id, { ...now, name: unit.name }, (lines) => [...lines, line.data], 'written')))
      return
    kept.saved(typed, { ...blank(), what: typed.what })
  }
  return (
    <form
      noValidate
      className="no-print mt-3 grid grid-cols-2 items-start gap-3 md:grid-cols-[10rem_9rem_9rem_1fr_auto]"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
    >
      <TextField
        label="Day"
        type="date"
        value={typed.on}
        error={faults.get('on')}
        onChange={({ target }) => put({ on: target.value })}
      />
      <SelectField
        label="What"
        value={typed.what}
        onChange={({ target }) => put({ what: target.value })}
        options={same(diaryKinds)}
      />
      {counts && (
        <TextField
          label="Read"
          unit={typed.what === 'energy' ? 'Wh' : 'cycles'}
          inputMode="decimal"
          value={typed.value}
          error={faults.get('value')}
          onChange={({ target }) => put({ value: target.value })}
        />
      )}
      <TextField
        label="In words"
        className={counts ? '' : 'md:col-span-2'}
        value={typed.words}
        maxLength={500}
        error={faults.get('words')}
        onChange={({ target }) => put({ words: target.value })}
      />
      <button type="submit" className="action action-main mt-5">
        Write it
      </button>
      {problem && (
        <div className="col-span-full">
          <ProblemNotice problem={problem} />
        </div>
      )}
    </form>
  )
}
