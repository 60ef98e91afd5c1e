interface Props<Value extends string> {
  /** What is chosen, for those who only hear it. */
  readonly label: string
  readonly options: readonly (readonly [value: Value, words: string])[]
  readonly value: Value
  readonly onChange: (value: Value) => void
}

/** One of a few, side by side: the chosen one stands bold. */
export function ChooseOne<Value extends string>({ label, options, value, onChange }: Props<Value>) {
  return (
    <div className="flex flex-wrap gap-x-5 gap-y-1" role="group" aria-label={label}>
      {options.map(([one, words]) => (
        <button
          key={one}
          type="button"
          aria-pressed={one === value}
          className={one === value ? 'font-bold' : 'plain-link'}
          onClick={() => onChange(one)}
        >
          {words}
        </button>
      ))}
    </div>
  )
}
