interface Props {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
}

/** A box that narrows a list down while one types. */
export function Find({ label, value, onChange }: Props) {
  return (
    <input
      type="search"
      className="input no-print mb-2 max-w-72"
      aria-label={label}
      placeholder={label}
      maxLength={200}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    />
  )
}
