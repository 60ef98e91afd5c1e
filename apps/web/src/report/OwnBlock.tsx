import { useState } from 'react'

interface Props {
  readonly label: string
  readonly words: string
  readonly onKeep: (words: string) => void
}

/** Own words between the parts of a report; kept when the hand leaves them. */
export function OwnBlock({ label, words, onKeep }: Props) {
  const [typed, setTyped] = useState(words)
  return (
    <textarea
      className="input min-w-0 flex-1"
      rows={3}
      maxLength={5000}
      aria-label={label}
      placeholder="What you want to say here. An empty line begins a paragraph."
      value={typed}
      onChange={({ target }) => setTyped(target.value)}
      onBlur={() => typed !== words && onKeep(typed)}
    />
  )
}
