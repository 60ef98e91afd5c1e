import type { Mark } from '@even-watt/contract'
import { RemoveButton } from '../ui/form'
import type { Marking, Shape } from './useMarking'

interface Props {
  readonly marks: readonly Mark[]
  readonly marking: Marking
  /** What a mark that is added here is. */
  readonly shape: Shape
  /** Promises that can stand at a mark. */
  readonly claims: readonly (readonly [id: string, words: string])[]
}

const middle = { x: 0.5, y: 0.5 }

/** The marks of a photograph as lines: their words, and what a pointer does otherwise. */
export function MarkList({ marks, marking, shape, claims }: Props) {
  return (
    <fieldset className="min-w-0">
      <legend className="text-quiet text-[0.85rem] font-semibold">Marks</legend>
      {marks.length === 0 && <p className="text-quiet">Drag over the photograph to draw one.</p>}
      <ol>
        {marks.map((mark, i) => (
          <li
            key={i}
            className={`grid grid-cols-[auto_1fr_auto] items-center gap-x-2 gap-y-1 py-1 ${i === marking.chosen ? 'bg-chosen' : ''}`}
          >
            <button
              type="button"
              className="plain-link w-14 text-left"
              aria-pressed={i === marking.chosen}
              onClick={() => marking.choose(i === marking.chosen ? undefined : i)}
            >
              {mark.shape}
            </button>
            <input
              className="input"
              aria-label={`Words of mark ${i + 1}`}
              value={mark.words ?? ''}
              maxLength={120}
              placeholder="words beside it"
              onFocus={() => marking.choose(i)}
              onChange={({ target }) => marking.put(i, { words: target.value })}
            />
            <RemoveButton className="" what={`mark ${i + 1}`} onRemove={() => marking.remove(i)} />
            {claims.length > 0 && (
              <select
                className="input col-span-2 col-start-2"
                aria-label={`Promise at mark ${i + 1}`}
                value={mark.about ?? ''}
                onChange={({ target }) => marking.put(i, { about: target.value || undefined })}
              >
                <option value="">no promise stands there</option>
                {claims.map(([id, words]) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </select>
            )}
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="plain-link mt-1"
        disabled={marking.full}
        onClick={() => marking.draw(shape, middle, middle)}
      >
        Put one in the middle
      </button>
    </fieldset>
  )
}
