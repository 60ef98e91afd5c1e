import type { KeyboardEvent, ReactNode } from 'react'

interface Props {
  /** The field is begun anew, and takes the keys, when it is of another prompt. */
  readonly prompt: number
  readonly label: string
  readonly hue?: string
  /** The meter that it is read on. */
  readonly under?: ReactNode
  /** Of a number; absent: words. */
  readonly unit?: string | undefined
  readonly value: string
  readonly invalid: boolean
  readonly onChange: (text: string) => void
  readonly onEnter: () => void
}

/** One figure or name, typed as large as the window allows. */
export function LargeField({
  prompt,
  label,
  hue = '',
  under,
  unit,
  value,
  invalid,
  onChange,
  onEnter,
}: Props) {
  const onKey = (event: KeyboardEvent) => {
    if (event.key !== 'Enter') return
    event.preventDefault()
    onEnter()
  }
  const number = unit !== undefined
  return (
    <div>
      <label htmlFor="prompt" className={`text-2xl font-bold ${hue}`}>
        {label}
      </label>
      {under !== undefined && <p className="text-quiet min-h-6">{under}</p>}
      <div className="flex items-baseline gap-3">
        <input
          id="prompt"
          key={prompt}
          autoFocus
          autoComplete="off"
          inputMode={number ? 'decimal' : 'text'}
          className={`figures w-full min-w-0 border-b border-quiet bg-transparent leading-tight ${number ? 'text-[clamp(4.5rem,22vw,13rem)]' : 'text-[clamp(2rem,7vw,4rem)]'}`}
          value={value}
          aria-invalid={invalid}
          aria-describedby="prompt-note"
          onChange={(event) => onChange(event.target.value)}
          onKeyDown={onKey}
        />
        {number && <span className="text-quiet text-4xl">{unit}</span>}
      </div>
    </div>
  )
}

/** What is wrong at the field, or odd about it; room is kept for it, so that nothing jumps. */
export function PromptNote({
  fault,
  children,
}: {
  readonly fault: string | undefined
  readonly children?: ReactNode
}) {
  return (
    <div id="prompt-note" className="min-h-16 text-xl" role={fault ? 'alert' : 'status'}>
      {fault ? <span className="text-madder">■ {fault}</span> : children}
    </div>
  )
}
