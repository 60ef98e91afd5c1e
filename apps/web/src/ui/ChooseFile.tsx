import type { ReactNode } from 'react'

interface Props {
  readonly children: ReactNode
  /** Endings and types that are offered; absent: any. */
  readonly accept?: string
  readonly multiple?: boolean
  readonly disabled?: boolean
  readonly className?: string
  readonly onChoose: (files: readonly [File, ...File[]]) => void
}

/** A button that asks for files; the same one may be chosen again. */
export function ChooseFile({
  children,
  accept,
  multiple = false,
  disabled = false,
  className = 'action inline-block',
  onChoose,
}: Props) {
  return (
    <label className={className}>
      {children}
      <input
        type="file"
        accept={accept}
        multiple={multiple}
        className="sr-only"
        disabled={disabled}
        onChange={(event) => {
          const [first, ...others] = event.target.files ?? []
          event.target.value = ''
          if (first) onChoose([first, ...others])
        }}
      />
    </label>
  )
}
