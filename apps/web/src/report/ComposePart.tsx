import type { ReportBlock } from '@even-watt/contract'
import { moved } from '@even-watt/core'
import { useState } from 'react'
import { v7 } from 'uuid'
import { useStages } from '../trials/stageContext'
import { useSaveSettings } from '../trials/useSaveSettings'
import { ProblemNotice } from '../ui/Notice'
import { OwnBlock } from './OwnBlock'
import { compositionOf, rigsPart, withForm, type Composition } from './useReport'

/** What a stage's part is called in a report, where that is not the stage's own name. */
const titles: Readonly<Record<string, string>> = { 'Look over': 'The unit', Report: 'Photographs' }

/** The parts of the report: switched, put in order by drag or keys, with own words between them. */
export function ComposePart({ composition }: { composition: Composition }) {
  const { save, problem } = useSaveSettings()
  const { blocks, inRigs } = composition
  const stages = useStages()
  const put = (change: (now: Composition) => Partial<Composition>) =>
    void save(({ report }) => {
      const now = compositionOf(stages, report)
      const next = { ...now, ...change(now) }
      return { report: { blocks: [...next.blocks], inRigs: [...next.inRigs] } }
    })
  return (
    <details className="no-print mb-4 border-b border-rule pb-2">
      <summary className="font-semibold">Compose it</summary>
      {problem && <ProblemNotice problem={problem} />}
      <div className="my-2 flex flex-wrap gap-3">
        <button type="button" className="action" onClick={() => put((now) => withForm(now, 'long'))}>
          Long form
        </button>
        <button type="button" className="action" onClick={() => put((now) => withForm(now, 'short'))}>
          Short form
        </button>
        <button
          type="button"
          className="action"
          onClick={() => put((now) => ({ blocks: [{ key: v7(), shown: true, words: '' }, ...now.blocks] }))}
        >
          Add own words
        </button>
        <button type="button" className="plain-link" onClick={() => void save({ report: undefined })}>
          As usual
        </button>
      </div>
      <Blocks
        blocks={blocks}
        label="Parts of the report"
        onChange={(change) => put((now) => ({ blocks: change(now.blocks) }))}
      />
      {blocks.some(({ key, shown }) => key === rigsPart && shown) && (
        <>
          <p className="text-quiet mt-3">Within each rig:</p>
          <Blocks
            blocks={inRigs}
            label="Parts of each rig"
            onChange={(change) => put((now) => ({ inRigs: change(now.inRigs) }))}
          />
        </>
      )}
    </details>
  )
}

interface BlocksProps {
  readonly blocks: readonly ReportBlock[]
  readonly label: string
  readonly onChange: (change: (now: readonly ReportBlock[]) => ReportBlock[]) => void
}

function Blocks({ blocks, label, onChange }: BlocksProps) {
  const [dragged, setDragged] = useState<string>()
  const change = (key: string, patch: Partial<ReportBlock>) =>
    onChange((now) => now.map((block) => (block.key === key ? { ...block, ...patch } : block)))
  return (
    <ol aria-label={label} className="max-w-2xl">
      {blocks.map((block, i) => {
        const { key, shown, words } = block
        const own = blocks.slice(0, i + 1).filter((one) => one.words !== undefined).length
        const title = words === undefined ? (titles[key] ?? key) : `own words ${own}`
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
            <label className="flex min-w-40 items-center gap-2">
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
              {words !== undefined && (
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
