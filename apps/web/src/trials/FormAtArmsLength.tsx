import { parseNumber } from '@even-watt/core'
import { useState, type ReactNode } from 'react'
import { AtArmsLength, FootButton } from '../ui/atArmsLength/AtArmsLength'
import { LargeField, PromptNote } from '../ui/atArmsLength/LargeField'
import { SlipQuestion } from './SlipQuestion'
import type { CaptureFormState } from './useCaptureForm'

/** One thing that is asked for. */
interface Prompt {
  readonly name: string
  readonly label: string
  /** Of a number; absent: words. */
  readonly unit?: string
  /** The meter that it is read on. */
  readonly under?: string | undefined
  readonly hue?: string
}

interface Props {
  readonly title: string
  readonly under?: ReactNode
  readonly prompts: readonly Prompt[]
  readonly state: Pick<CaptureFormState, 'form' | 'errorAt' | 'refused' | 'slip' | 'submit'>
  readonly onClose: () => void
}

/** A form that captures, prompt by prompt; what is left empty is not read. The last one captures, and closes. */
export function FormAtArmsLength({ title, under, prompts, state, onClose }: Props) {
  const { form, errorAt, refused, slip, submit } = state
  const [at, setAt] = useState(0)
  const prompt = prompts[at]
  const typed = form.watch()
  if (!prompt) return null
  const { name, label, unit, hue } = prompt
  const text = typed[name] ?? ''
  const parsed = unit !== undefined && text.trim() ? parseNumber(text) : undefined
  const fault = (parsed && !parsed.ok ? parsed.why : undefined) ?? errorAt(name) ?? refused
  const last = at === prompts.length - 1
  const next = async () => {
    if (parsed && !parsed.ok) return
    if (!last) setAt(at + 1)
    else if (await submit()) onClose()
    else {
      const wrong = prompts.findIndex((one) => errorAt(one.name) !== undefined)
      if (wrong >= 0) setAt(wrong)
    }
  }
  return (
    <AtArmsLength
      title={title}
      under={under}
      beside={`${at + 1} of ${prompts.length}`}
      onClose={onClose}
      foot={
        <>
          <FootButton disabled={at === 0} onClick={() => setAt(at - 1)}>
            Back
          </FootButton>
          <FootButton main onClick={() => void next()}>
            {last ? 'Capture' : 'Save and continue'}
          </FootButton>
        </>
      }
    >
      <LargeField
        prompt={at}
        label={label}
        under={prompt.under ?? ''}
        value={text}
        invalid={fault !== undefined}
        onChange={(value) => form.setValue(name, value, { shouldDirty: true })}
        onEnter={() => void next()}
        {...(unit === undefined ? {} : { unit })}
        {...(hue === undefined ? {} : { hue })}
      />
      {slip && (
        <SlipQuestion
          slip={slip.slip}
          onMeant={() => void slip.answer(true).then((taken) => taken && onClose())}
          onTyped={() => void slip.answer(false).then((taken) => taken && onClose())}
        />
      )}
      <PromptNote fault={fault}>
        {!text && <p className="text-quiet">Left empty, it is not read.</p>}
      </PromptNote>
    </AtArmsLength>
  )
}
