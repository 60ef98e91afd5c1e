import { parseNumber, typedNumber, type Parsed } from '@even-watt/core'
import type { FieldValues, Path, UseFormReturn } from 'react-hook-form'
import {
  useId,
  type InputHTMLAttributes,
  type ReactNode,
  type SelectHTMLAttributes,
  type TextareaHTMLAttributes,
} from 'react'

interface LabelledProps {
  readonly label: string
  readonly unit?: string | undefined
  readonly hint?: string | undefined
  readonly error?: string | undefined
  readonly className?: string | undefined
}

interface Ids {
  readonly id: string
  readonly 'aria-describedby'?: string
  readonly 'aria-invalid': boolean
}

/** Label above, unit behind, error or hint below; the one shape of all fields. */
function Labelled({
  label,
  unit,
  hint,
  error,
  className = '',
  children,
}: LabelledProps & { children: (ids: Ids) => ReactNode }) {
  const id = useId()
  const note = error ?? hint
  return (
    <div className={className}>
      <label htmlFor={id} className="text-quiet block text-[0.85rem] font-semibold">
        {label}
        {unit && <span className="font-normal">, {unit}</span>}
      </label>
      {children({
        id,
        'aria-invalid': error !== undefined,
        ...(note ? { 'aria-describedby': `${id}-note` } : {}),
      })}
      {note && (
        <p
          id={`${id}-note`}
          className={error ? 'text-madder' : 'text-quiet text-[0.85rem]'}
          role={error ? 'alert' : undefined}
        >
          {error}
          {error === undefined && hint}
        </p>
      )}
    </div>
  )
}

type TextProps = LabelledProps &
  InputHTMLAttributes<HTMLInputElement> & { readonly ref?: React.Ref<HTMLInputElement> }

export function TextField({ label, unit, hint, error, className, ref, ...input }: TextProps) {
  return (
    <Labelled label={label} unit={unit} hint={hint} error={error} className={className}>
      {(ids) => <input type="text" autoComplete="off" {...input} {...ids} ref={ref} className="input" />}
    </Labelled>
  )
}

type LinesProps = LabelledProps &
  TextareaHTMLAttributes<HTMLTextAreaElement> & { readonly ref?: React.Ref<HTMLTextAreaElement> }

/** Several lines, such as a column copied from a table. */
export function LinesField({ label, unit, hint, error, className, ref, ...area }: LinesProps) {
  return (
    <Labelled label={label} unit={unit} hint={hint} error={error} className={className}>
      {(ids) => <textarea {...area} {...ids} ref={ref} className="input figures" />}
    </Labelled>
  )
}

type SelectProps = LabelledProps &
  SelectHTMLAttributes<HTMLSelectElement> & {
    readonly options: readonly (readonly [value: string, words: string])[]
    readonly ref?: React.Ref<HTMLSelectElement>
  }

export function SelectField({ label, unit, hint, error, className, options, ref, ...select }: SelectProps) {
  return (
    <Labelled label={label} unit={unit} hint={hint} error={error} className={className}>
      {(ids) => (
        <select {...select} {...ids} ref={ref} className="input">
          {options.map(([value, words]) => (
            <option key={value} value={value}>
              {words}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  )
}

interface RemoveProps {
  /** Which line, for those who only hear the button: "setting 1". */
  readonly what: string
  readonly onRemove: () => void
  readonly disabled?: boolean
  /** Where it stands beside the fields of its line. */
  readonly className?: string
}

/** Takes one line out of a form of many. */
export function RemoveButton({ what, onRemove, disabled = false, className = 'mt-6' }: RemoveProps) {
  return (
    <button
      type="button"
      className={`plain-link ${className}`}
      disabled={disabled}
      onClick={onRemove}
      aria-label={`Remove ${what}`}
    >
      Remove
    </button>
  )
}

/** Binds a field of a document's form to its path, with the sentence that stands at it. */
export const fieldOf =
  <Form extends FieldValues>(form: UseFormReturn<Form>, errorAt: (path: string) => string | undefined) =>
  (path: Path<Form>) => ({ ...form.register(path), error: errorAt(path) })

/** The same words as value and label. */
export const same = (values: readonly string[]) => values.map((value) => [value, value] as const)

/** A number typed in a form: undefined when left empty, NaN-free, or the sentence that says what is wrong. */
export function readNumber(
  typed: string | undefined,
  parse: (text: string) => Parsed = parseNumber,
): { value?: number; why?: string } {
  if (!typed?.trim()) return {}
  const parsed = parse(typed)
  return parsed.ok ? { value: parsed.value } : { why: parsed.why }
}

/** For the form: shows a number as a person would type it. */
export const typed = (value: number | undefined, factor = 1): string =>
  value === undefined ? '' : typedNumber(value * factor)
