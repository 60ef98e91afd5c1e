import type { ReportBlock } from '@even-watt/contract'
import { isPut, moved } from '@even-watt/core'
import { useState } from 'react'
import { OwnBlock } from './OwnBlock'
import { useSayPicked } from './useSayPicked'

interface BlocksProps {
  readonly blocks: readonly ReportBlock[]
  readonly label: string
  readonly onChange: (change: (now: readonly ReportBlock[]) => ReportBlock[]) => void
}

/** Parts of a report in their order: shown or not, moved by drag, by buttons or by Alt and the arrow keys. */
export function Blocks({ blocks, label, onChange }: BlocksProps) {
  const [dragged, setDragged] = useState<string>()
  const sayPicked = useSayPicked()
  const change = (key: string, patch: Partial<ReportBlock>) =>
    onChange((now) => now.map((block) => (block.key === key ? { ...block, ...patch } : block)))
  return (
    <ol aria-label={label} className="max-w-2xl">
      {blocks.map((block, i) => {
        const { key, shown, words, picked } = block
        const own = blocks.slice(0, i + 1).filter((one) => one.words !== undefined).length
        const title = words !== undefined ? `own words ${own}` : picked ? sayPicked(picked) : key
        return (
          <li
            key={key}
            draggable={words === undefined}
            onDragStart={() => setDragged(key)}
            onDragOver={(event) => event.preventDefault()}
            onDrop={(event) => {
              event.preventDefault()
              if (dragged !== undefined && dragged !== key) onChange((now) => moved(now, dragged, i))
              setDragged(undefined)
            }}
            onKeyDown={(event) => {
              const by = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0
              if (!event.altKey || !by) return
              event.preventDefault()
              onChange((now) => moved(now, key, i + by))
            }}
            className={`flex items-start gap-3 border-b border-rule py-1 ${shown ? '' : 'text-quiet'} ${dragged === key ? 'bg-chosen' : ''}`}
          >
            <label className="flex min-w-40 items-center gap-2 break-words">
              <input
                type="checkbox"
                checked={shown}
                onChange={({ target }) => change(key, { shown: target.checked })}
              />
              {title}
            </label>
            {words !== undefined && (
              <OwnBlock
                label={`The ${title}`}
                words={words}
                onKeep={(text) => change(key, { words: text })}
              />
            )}
            <span className="ml-auto flex gap-2">
              {isPut(block) && (
                <button
                  type="button"
                  className="plain-link"
                  onClick={() => onChange((now) => now.filter((one) => one.key !== key))}
                >
                  Remove<span className="sr-only"> {title}</span>
                </button>
              )}
              <button
                type="button"
                className="plain-link"
                disabled={i === 0}
                aria-label={`Move ${title} up`}
                onClick={() => onChange((now) => moved(now, key, i - 1))}
              >
                ↑
              </button>
              <button
                type="button"
                className="plain-link"
                disabled={i === blocks.length - 1}
                aria-label={`Move ${title} down`}
                onClick={() => onChange((now) => moved(now, key, i + 1))}
              >
                ↓
              </button>
            </span>
          </li>
        )
      })}
    </ol>
  )
}
