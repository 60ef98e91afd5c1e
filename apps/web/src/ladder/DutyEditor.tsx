import { TrialSettings } from '@even-watt/contract'
import { parseNumber } from '@even-watt/core'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useState, type FormEvent } from 'react'
import { safeParse } from 'zod/mini'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { RemoveButton, TextField } from '../ui/form'
import { ProblemNotice } from '../ui/Notice'

interface Line {
  hours: string
  load: string
}

/** Hours a day at each load, idle (0 W) included: the honest weight for a battery unit. */
export function DutyEditor() {
  const { trial } = useTrial()
  const [open, setOpen] = useState(false)
  return (
    <>
      <button type="button" className="plain-link no-print ml-3" onClick={() => setOpen(true)}>
        Edit the duty
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} className="relative z-30">
        <div className="fixed inset-0 bg-ground/70" aria-hidden="true" />
        <div className="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-[10vh]">
          <DialogPanel className="w-full max-w-md border border-ink bg-raised p-4">
            <DialogTitle className="text-lg font-bold">The owner’s duty</DialogTitle>
            <Lines
              start={trial.duty.map((line) => ({ hours: String(line.hours), load: String(line.load) }))}
              onDone={() => setOpen(false)}
            />
          </DialogPanel>
        </div>
      </Dialog>
    </>
  )
}

function Lines({ start, onDone }: { start: Line[]; onDone: () => void }) {
  const { save, problem } = useSaveSettings()
  const [lines, setLines] = useState<readonly Line[]>(start.length ? start : [{ hours: '', load: '0' }])
  const [faults, setFaults] = useState<ReadonlyMap<string, string>>(new Map())
  const set = (i: number, patch: Partial<Line>) =>
    setLines(lines.map((line, k) => (k === i ? { ...line, ...patch } : line)))

  const submit = async (event: FormEvent) => {
    event.preventDefault()
    const found = new Map<string, string>()
    const duty = lines.map((line, i) => {
      const number = (key: keyof Line) => {
        const parsed = parseNumber(line[key])
        if (!parsed.ok) found.set(`duty.${i}.${key}`, parsed.why)
        return parsed.ok ? parsed.value : 0
      }
      return { hours: number('hours'), load: number('load') }
    })
    const checked = safeParse(TrialSettings.shape.duty, duty)
    if (!checked.success)
      for (const issue of checked.error.issues) found.set(['duty', ...issue.path].join('.'), issue.message)
    setFaults(found)
    if (found.size === 0 && (await save({ duty }))) onDone()
  }
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <p className="text-quiet">Up to 24 hours; idle is a load of 0 W.</p>
      {lines.map((line, i) => (
        <div key={i} className="mt-2 grid grid-cols-[1fr_1fr_auto] items-start gap-2">
          <TextField
            label="Hours a day"
            value={line.hours}
            onChange={(event) => set(i, { hours: event.target.value })}
            error={faults.get(`duty.${i}.hours`)}
            inputMode="decimal"
          />
          <TextField
            label="Load"
            unit="W"
            value={line.load}
            onChange={(event) => set(i, { load: event.target.value })}
            error={faults.get(`duty.${i}.load`)}
            inputMode="decimal"
          />
          <RemoveButton what={`line ${i + 1}`} onRemove={() => setLines(lines.filter((_, k) => k !== i))} />
        </div>
      ))}
      {faults.get('duty') && (
        <p className="text-madder mt-2" role="alert">
          {faults.get('duty')}
        </p>
      )}
      {problem && <ProblemNotice problem={problem} />}
      <div className="mt-3 flex gap-2">
        <button type="submit" className="action action-main">
          Save
        </button>
        <button
          type="button"
          className="action"
          onClick={() => setLines([...lines, { hours: '', load: '' }])}
        >
          Add a line
        </button>
        <button type="button" className="action" onClick={onDone}>
          Leave it
        </button>
      </div>
    </form>
  )
}
