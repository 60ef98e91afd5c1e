import { useRef, type ReactNode } from 'react'
import { saveFile } from '../ui/saveFile'
import { paper } from './drawing'
import { saveDrawing } from './saveDrawing'

interface Props {
  readonly title: string
  readonly description: string
  readonly fileName: string
  /** The figures of the drawing, as rows of a table. */
  readonly csv?: () => string
  readonly height?: number
  readonly children: ReactNode
}

/** A drawing of a wave on its own paper, to be saved as SVG, PNG and CSV. */
export function Drawn({ title, description, fileName, csv, height = paper.height, children }: Props) {
  const drawing = useRef<SVGSVGElement>(null)
  const save = (kind: 'svg' | 'png') => {
    if (drawing.current) void saveDrawing(drawing.current, fileName, kind)
  }
  return (
    <figure className="min-w-0">
      <figcaption className="flex items-baseline gap-3">
        <span className="font-semibold">{title}</span>
        <span className="no-print ml-auto flex gap-3 text-[0.85rem]">
          {(['svg', 'png'] as const).map((kind) => (
            <button
              key={kind}
              type="button"
              className="plain-link text-quiet"
              aria-label={`Save “${title}” as ${kind.toUpperCase()}`}
              onClick={() => save(kind)}
            >
              {kind.toUpperCase()}
            </button>
          ))}
          {csv && (
            <button
              type="button"
              className="plain-link text-quiet"
              aria-label={`Save “${title}” as CSV`}
              onClick={() => saveFile(new Blob([csv()], { type: 'text/csv' }), `${fileName}.csv`)}
            >
              CSV
            </button>
          )}
        </span>
      </figcaption>
      <svg
        ref={drawing}
        viewBox={`0 0 ${paper.width} ${height}`}
        className="h-auto w-full max-w-3xl"
        role="img"
        aria-label={description}
        fontSize={12}
        fontFamily="var(--font-mono)"
      >
        {children}
      </svg>
    </figure>
  )
}
