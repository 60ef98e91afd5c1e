interface Props {
  /** What was chosen, in words. */
  readonly words: string
  /** What is taken out, for those who only hear it. */
  readonly label: string
  readonly onRemove: () => void
}

/** One thing of the tester’s own choice, with the way to take it out again. */
export function Taken({ words, label, onRemove }: Props) {
  return (
    <span className="inline-flex items-baseline gap-1">
      {words}
      <button type="button" className="plain-link" aria-label={label} onClick={onRemove}>
        ×
      </button>
    </span>
  )
}
