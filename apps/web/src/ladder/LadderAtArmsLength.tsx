import type { Quantity } from '@even-watt/contract'
import { formatNumber, neededOf, parseNumber, quantityData, say, sayDuration } from '@even-watt/core'
import { useState } from 'react'
import { RangeChoice } from '../evidence/RangeChoice'
import { usePlannedNext, type TakenStep } from '../plan/usePlannedNext'
import { SlipQuestion } from '../trials/SlipQuestion'
import type { Wanted } from '../trials/usePrompts'
import { useTrial } from '../trials/useTrial'
import { CapturedResult } from './CapturedResult'
import { EntryChoices } from './EntryChoices'
import { typedValues } from './draft'
import { EntryMore } from './EntryMore'
import type { DraftState } from './useDraft'
import { useEntryHand } from './useEntryHand'
import { useDraftPreview } from './useDraftPreview'
import { AtArmsLength, FootButton, LargeChoice } from '../ui/atArmsLength/AtArmsLength'
import { LargeField, PromptNote } from '../ui/atArmsLength/LargeField'
import { unitOf } from '../ui/units'

interface Props {
  readonly state: DraftState
  /** What an answer asked for. */
  readonly wanted: Wanted
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

/** A step, prompt by prompt. */
export function LadderAtArmsLength({ state, wanted, onClose }: Props) {
  const { analysis } = useTrial()
  const { draft, fields, type, change, captureStep, faults, ids } = state
  const { oddities } = useDraftPreview(state)
  const [at, setAt] = useState(0)
  const [captured, setCaptured] = useState<string>()
  /** Moment at which the load was said to be connected, ms. */
  const [connected, setConnected] = useState<number>()
  const planned = usePlannedNext()
  const hand = useEntryHand(state, () => setAt(0))
  const hung = fields.filter((field) => field.meter)
  // A question asks for no more than answers it.
  const needed = new Set(neededOf(hung.map(({ quantity }) => quantity)))
  const prompts = wanted.watts === undefined ? hung : hung.filter(({ quantity }) => needed.has(quantity))
  // Prompt 0 asks for the load; the last one captures.
  const field = at === 0 ? undefined : prompts[at - 1]
  const last = at === prompts.length
  const text = field ? (draft.texts[field.key] ?? '') : draft.load
  const fault = field && text.trim() && !parseNumber(text).ok ? faults[field.key] : undefined
  const meter = analysis.record.revision.meters.find((candidate) => candidate.id === field?.meter)?.name

  const step = draft.step ?? ids.step
  const take = (wanted: TakenStep) => {
    change(wanted)
    setConnected(performance.now())
    setAt(1)
  }

  const follow = (taken: boolean | undefined) => {
    if (!taken) return
    setCaptured(step)
    setAt(0)
  }
  const next = () => {
    if (fault || (at === 0 && !draft.load.trim())) return
    if (at === 0) setConnected(performance.now())
    if (!last) setAt(at + 1)
    else follow(captureStep())
  }
  return (
    <AtArmsLength
      title={draft.load || 'Next step'}
      under={sayWanted(wanted)}
      beside={`${at + 1} of ${prompts.length + 1}`}
      onClose={onClose}
      foot={
        <>
          <FootButton disabled={at === 0} onClick={() => setAt(at - 1)}>
            Back
          </FootButton>
          <FootButton main onClick={next}>
            {last ? 'Capture' : 'Save and continue'}
          </FootButton>
        </>
      }
    >
      {at === 0 && captured !== undefined && <CapturedResult step={captured} />}
      {at === 0 && planned && !draft.load && (
        <LargeChoice onClick={() => take(planned.step)}>
          Planned next: {planned.step.load}, about {say(planned.step.expected, 'W', 4)}
        </LargeChoice>
      )}
      <LargeField
        prompt={at}
        label={field ? labelOf(field.quantity) : 'What is connected?'}
        hue={field ? hue[quantityData[field.quantity].tap] : ''}
        under={meter ?? ''}
        unit={field && unitOf(quantityData[field.quantity].unit)}
        value={text}
        invalid={fault !== undefined}
        onChange={(typed) =>
          field ? type(field.key, typed) : change({ load: typed, uses: undefined, expected: undefined })
        }
        onEnter={next}
      />
      {field && (
        <RangeChoice
          quantity={field.quantity}
          meter={field.meter}
          value={typedValues(draft, fields).get(field.key)}
          range={draft.ranges[field.key] ?? ''}
          onChange={(range) => change({ ranges: { ...draft.ranges, [field.key]: range } })}
        />
      )}
      {last && (
        <div className="flex flex-wrap gap-x-4 gap-y-2 text-lg">
          <EntryChoices state={state} onKey={(event) => event.key === 'Enter' && next()} />
          {connected !== undefined && (
            <button
              type="button"
              className="plain-link"
              onClick={() => change({ held: String(Math.round((performance.now() - connected) / 1000)) })}
            >
              Held since it was connected: note it
            </button>
          )}
          <button
            type="button"
            className="plain-link"
            aria-expanded={hand.more}
            onClick={() => hand.setMore(!hand.more)}
          >
            {hand.more ? 'Less' : 'More'}
          </button>
          {hand.more && <EntryMore hand={hand} className="text-base" />}
        </div>
      )}
      {state.slip && (
        <SlipQuestion
          slip={state.slip.slip}
          onMeant={() => follow(state.slip?.answer(true))}
          onTyped={() => follow(state.slip?.answer(false))}
        />
      )}
      <PromptNote fault={fault}>
        {oddities
          .filter((oddity) => !oddity.at.quantity || oddity.at.quantity === field?.quantity)
          .slice(0, 2)
          .map((oddity, i) => (
            <p key={i} className="text-ochre">
              ▲ {oddity.odd} {oddity.todo}
            </p>
          ))}
      </PromptNote>
      <ul className="mt-auto max-w-3xl">
        {prompts.map(({ key, quantity }, i) => (
          <li
            key={key}
            className={`flex items-center justify-between border-b border-rule py-1.5 text-lg ${i === at - 1 ? 'font-bold' : ''}`}
          >
            <button type="button" onClick={() => setAt(i + 1)}>
              {tapOf(quantity)} {quantityData[quantity].words}
            </button>
            <span className="figures">
              {draft.texts[key] ? `${draft.texts[key]} ${unitOf(quantityData[quantity].unit)}` : '–'}
            </span>
          </li>
        ))}
      </ul>
    </AtArmsLength>
  )
}

/** "Connect about 1010 W, and hold it for 10 min." */
function sayWanted({ watts, seconds }: Wanted): string | undefined {
  if (watts === undefined) return undefined
  const held = seconds ? `, and hold it for ${sayDuration(seconds)}` : ''
  return `Connect about ${formatNumber(watts, 0)} W${held}.`
}

const tapOf = (quantity: Quantity) => {
  const { tap } = quantityData[quantity]
  return tap === 'any' ? '' : tap
}

const labelOf = (quantity: Quantity) =>
  [tapOf(quantity), quantityData[quantity].words].filter(Boolean).join(' · ')
