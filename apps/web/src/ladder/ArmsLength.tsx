import { parseNumber, quantityData, say } from '@even-watt/core'
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react'
import { useState, type KeyboardEvent } from 'react'
import { RangeChoice } from '../evidence/RangeChoice'
import { usePlannedNext, type TakenStep } from '../plan/usePlannedNext'
import { useTrial } from '../trials/useTrial'
import { CapturedResult } from './CapturedResult'
import { typedValues } from './draft'
import type { DraftState } from './useDraft'
import { useDraftPreview } from './useDraftPreview'
import { unitOf } from '../ui/units'

interface Props {
  readonly state: DraftState
  readonly onClose: () => void
}

const hue = {
  A: 'text-copper',
  B: 'text-copper',
  in: 'text-copper',
  port: 'text-copper',
  C: 'text-petrol',
  any: 'text-ink',
} as const

/** One prompt at a time, figures as large as the window allows: read from where the meters are. */
export function ArmsLength({ state, onClose }: Props) {
  const { analysis } = useTrial()
  const { draft, fields, type, change, captureStep, faults, ids } = state
  const { oddities } = useDraftPreview(state)
  const [at, setAt] = useState(0)
  const [captured, setCaptured] = useState<string>()
  const planned = usePlannedNext()
  const prompts = fields.filter((field) => field.meter)
  // Prompt 0 asks for the load; the last one captures.
  const field = at === 0 ? undefined : prompts[at - 1]
  const last = at === prompts.length
  const text = field ? (draft.texts[field.key] ?? '') : draft.load
  const fault = field && text.trim() && !parseNumber(text).ok ? faults[field.key] : undefined
  const meter = analysis.record.revision.meters.find((candidate) => candidate.id === field?.meter)?.name

  const step = draft.step ?? ids.step
  const take = (wanted: TakenStep) => {
    change(wanted)
    setAt(1)
  }

  const next = () => {
    if (fault || (at === 0 && !draft.load.trim())) return
    if (!last) setAt(at + 1)
    else if (captureStep()) {
      setCaptured(step)
      setAt(0)
    }
  }
  const onKey = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    next()
  }
  return (
    <Dialog open onClose={onClose} className="relative z-40">
      <DialogPanel className="bg-ground fixed inset-0 flex flex-col overflow-y-auto">
        <div className="flex items-baseline justify-between gap-4 border-b border-rule px-5 py-3">
          <DialogTitle className="truncate text-lg font-bold">{draft.load || 'Next step'}</DialogTitle>
          <span className="text-quiet figures whitespace-nowrap">
            {at + 1} of {prompts.length + 1}
          </span>
        </div>
        <div className="flex flex-1 flex-col px-5 py-4">
          {at === 0 && captured !== undefined && <CapturedResult step={captured} />}
          {at === 0 && planned && !draft.load && (
            <button
              type="button"
              className="action mb-4 py-4 text-left text-lg whitespace-normal"
              onClick={() => take(planned.step)}
            >
              Planned next: {planned.step.load}, about {say(planned.step.expected, 'W', 4)}
            </button>
          )}
          <label
            htmlFor="prompt"
            className={`text-2xl font-bold ${field ? hue[quantityData[field.quantity].tap] : ''}`}
          >
            {field
              ? `${quantityData[field.quantity].tap === 'any' ? '' : `${quantityData[field.quantity].tap} · `}${quantityData[field.quantity].words}`
              : 'What is connected?'}
          </label>
          <p className="text-quiet min-h-6">{meter}</p>
          <div className="flex items-baseline gap-3">
            <input
              id="prompt"
              key={at}
              autoFocus
              autoComplete="off"
              inputMode={field ? 'decimal' : 'text'}
              className={`figures w-full min-w-0 border-b border-quiet bg-transparent leading-tight ${field ? 'text-[clamp(4.5rem,22vw,13rem)]' : 'text-[clamp(2rem,7vw,4rem)]'}`}
              value={text}
              onChange={(event) =>
                field
                  ? type(field.key, event.target.value)
                  : change({ load: event.target.value, uses: undefined, expected: undefined })
              }
              onKeyDown={onKey}
              aria-invalid={fault !== undefined}
              aria-describedby="prompt-note"
            />
            {field && (
              <span className="text-quiet text-4xl">{unitOf(quantityData[field.quantity].unit)}</span>
            )}
          </div>
          {field && (
            <RangeChoice
              quantity={field.quantity}
              meter={field.meter}
              value={typedValues(draft, fields).get(field.key)}
              range={draft.ranges[field.key] ?? ''}
              onChange={(range) => change({ ranges: { ...draft.ranges, [field.key]: range } })}
            />
          )}
          <div id="prompt-note" className="mt-3 min-h-16 text-xl" role="status">
            {fault ? (
              <span className="text-madder">■ {fault}</span>
            ) : (
              oddities
                .filter((oddity) => !oddity.at.quantity || oddity.at.quantity === field?.quantity)
                .slice(0, 2)
                .map((oddity, i) => (
                  <p key={i} className="text-ochre">
                    ▲ {oddity.odd} {oddity.todo}
                  </p>
                ))
            )}
          </div>
          <ul className="mt-auto max-w-3xl">
            {prompts.map((other, i) => (
              <li
                key={other.key}
                className={`flex justify-between border-b border-rule py-1.5 text-lg ${i === at - 1 ? 'font-bold' : ''}`}
              >
                <button type="button" onClick={() => setAt(i + 1)}>
                  {quantityData[other.quantity].tap === 'any' ? '' : quantityData[other.quantity].tap}{' '}
                  {quantityData[other.quantity].words}
                </button>
                <span className="figures">
                  {draft.texts[other.key]
                    ? `${draft.texts[other.key]} ${unitOf(quantityData[other.quantity].unit)}`
                    : '–'}
                </span>
              </li>
            ))}
          </ul>
        </div>
        <div className="sticky bottom-0 flex border-t-2 border-ink bg-ground">
          <button type="button" className="flex-1 py-5 text-lg font-bold" onClick={onClose}>
            Leave
          </button>
          <button
            type="button"
            className="flex-1 py-5 text-lg font-bold"
            disabled={at === 0}
            onClick={() => setAt(at - 1)}
          >
            Back
          </button>
          <button type="button" className="bg-ink text-ground flex-[2] py-5 text-lg font-bold" onClick={next}>
            {last ? 'Capture' : 'Save and continue'}
          </button>
        </div>
      </DialogPanel>
    </Dialog>
  )
}
