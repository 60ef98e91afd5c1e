import { TrialSettings } from '@even-watt/contract'
import { parseNumber } from '@even-watt/core'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useState } from 'react'
import { useFieldArray, useForm } from 'react-hook-form'
import * as z from 'zod/mini'
import { useSaveSettings } from '../trials/useSaveSettings'
import { useTrial } from '../trials/useTrial'
import { RemoveButton, TextField } from '../ui/form'
import { ProblemNotice } from '../ui/Notice'
import { contractResolver } from '../ui/resolver'

const Duty = z.object({ duty: TrialSettings.shape.duty })
type Duty = z.infer<typeof Duty>

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
  const { control, register, handleSubmit, formState } = useForm<{ duty: Line[] }, unknown, Duty>({
    defaultValues: { duty: start.length ? start : [{ hours: '', load: '0' }] },
    reValidateMode: 'onSubmit',
    resolver: contractResolver(Duty, (form: { duty: Line[] }, report) => ({
      duty: form.duty.map((line, i) => {
        const number = (key: keyof Line) => {
          const parsed = parseNumber(line[key])
          report(`duty.${i}.${key}`, parsed.ok ? undefined : parsed.why)
          return parsed.ok ? parsed.value : 0
        }
        return { hours: number('hours'), load: number('load') }
      }),
    })),
  })
  const { fields, append, remove } = useFieldArray({ control, name: 'duty' })
  const { errors } = formState
  const whole = errors.duty?.root?.message ?? errors.duty?.message
  const field = (i: number, key: keyof Line) => ({
    ...register(`duty.${i}.${key}`),
    error: errors.duty?.[i]?.[key]?.message,
  })
  const submit = handleSubmit(async (duty) => {
    if (await save(duty)) onDone()
  })
  return (
    <form noValidate onSubmit={(event) => void submit(event)}>
      <p className="text-quiet">Up to 24 hours; idle is a load of 0 W.</p>
      {fields.map(({ id }, i) => (
        <div key={id} className="mt-2 grid grid-cols-[1fr_1fr_auto] items-start gap-2">
          <TextField label="Hours a day" {...field(i, 'hours')} inputMode="decimal" />
          <TextField label="Load" unit="W" {...field(i, 'load')} inputMode="decimal" />
          <RemoveButton what={`line ${i + 1}`} onRemove={() => remove(i)} />
        </div>
      ))}
      {whole && (
        <p className="text-madder mt-2" role="alert">
          {whole}
        </p>
      )}
      {problem && <ProblemNotice problem={problem} />}
      <div className="mt-3 flex gap-2">
        <button type="submit" className="action action-main">
          Save
        </button>
        <button type="button" className="action" onClick={() => append({ hours: '', load: '' })}>
          Add a line
        </button>
        <button type="button" className="action" onClick={onDone}>
          Cancel
        </button>
      </div>
    </form>
  )
}
