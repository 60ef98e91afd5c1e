import type { ReportBlock } from '@even-watt/contract'
import { v7 } from 'uuid'
import { useStages } from '../trials/stageContext'
import { useSaveSettings } from '../trials/useSaveSettings'
import { ProblemNotice } from '../ui/Notice'
import { Blocks } from './Blocks'
import { PickPart } from './PickPart'
import { compositionOf, rigsPart, withForm, type Composition } from './useReport'

/** The parts of the report: switched, put in order by drag or keys, with own words, photographs, charts and tables between them. */
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
  const add = (what: Pick<ReportBlock, 'words' | 'picked'>) =>
    put((now) => ({ blocks: [{ key: v7(), shown: true, ...what }, ...now.blocks] }))
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
        <button type="button" className="action" onClick={() => add({ words: '' })}>
          Add own words
        </button>
        <PickPart onPick={(picked) => add({ picked })} />
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
