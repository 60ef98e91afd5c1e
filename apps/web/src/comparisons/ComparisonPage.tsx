import type { OwnRow, StoredComparison } from '@even-watt/contract'
import { comparedRows, compareTrials, statedOfComparison, type Compared } from '@even-watt/core'
import { useMemo, useRef } from 'react'
import { useParams } from 'react-router'
import { api } from '../api/api'
import { pageFor } from '../method/pageFor'
import { PublishPart } from '../editions/PublishPart'
import { printDrawn } from '../ui/drawn'
import { TextField } from '../ui/form'
import { Loaded } from '../ui/Loaded'
import { Notice, ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { ShowWorking } from '../ui/ShowWorking'
import { BesideParts } from './BesideParts'
import { sourcesOf, type BesideSources } from './besideSources'
import { Chosen } from './Chosen'
import { namesIn } from './namesIn'
import { beside } from './picked'
import { TrialPicker } from './TrialPicker'
import { useCompared } from './useCompared'
import { useComparison, type ComparisonState } from './useComparison'

/** A comparison, saved or new. */
export function ComparisonPage() {
  const { id = 'new' } = useParams()
  const query = api.useComparisonsQuery()
  return (
    <Loaded query={query} what="the comparison">
      {(all) => {
        const stored = all.find((one) => one.id === id)
        return id !== 'new' && !stored ? (
          <Page title="Compare">
            <Notice kind="problem">This comparison is not here any more.</Notice>
          </Page>
        ) : (
          <Comparing key={id} stored={stored} />
        )
      }}
    </Loaded>
  )
}

function Comparing({ stored }: { stored: StoredComparison | undefined }) {
  const state = useComparison(stored)
  const { made, change, changed, fault, nameFault, problem } = state
  const compared = useCompared(made.of)
  const sources = useMemo(() => sourcesOf(made.of, compared.documents), [made.of, compared.documents])
  const names = useMemo(() => namesIn(compared.documents), [compared.documents])
  return (
    <ShowWorking methodFor={pageFor} nameSource={names.nameSource} nameEntry={names.nameEntry}>
      <Page title={made.name || 'Compare trials'} actions={<Actions state={state} stored={stored} />}>
        {problem && <ProblemNotice problem={problem} />}
        <Chosen of={made.of} state={compared} onChange={(of) => change({ of: [...of] })} />
        <section className="no-print mb-4 grid max-w-4xl items-start gap-3 md:grid-cols-3">
          <TrialPicker
            label={made.of.length ? 'Lay beside it' : 'Compare'}
            onPick={(line) => change({ of: beside(made.of, line) })}
          />
          {made.of.length > 1 && (
            <>
              <TextField
                label="Keep it under the name"
                value={made.name}
                error={changed && made.name === '' ? undefined : nameFault}
                maxLength={200}
                onChange={(event) => change({ name: event.target.value })}
              />
              <TextField
                label="Note"
                value={made.note ?? ''}
                maxLength={2000}
                onChange={(event) => change({ note: event.target.value || undefined })}
              />
            </>
          )}
        </section>
        {compared.fault && <Notice kind="problem">{compared.fault}</Notice>}
        {fault ? (
          <p className="text-quiet">{fault}</p>
        ) : compared.waiting || compared.list.length < 2 ? (
          compared.waiting && (
            <p className="text-quiet" role="status">
              Reading the trials …
            </p>
          )
        ) : (
          <Beside list={compared.list} {...sources} state={state} stored={stored} />
        )}
      </Page>
    </ShowWorking>
  )
}

interface BesideProps extends BesideSources {
  readonly list: readonly Compared[]
  readonly state: ComparisonState
  readonly stored: StoredComparison | undefined
}

interface ActionsProps {
  readonly state: ComparisonState
  readonly stored: StoredComparison | undefined
}

function Actions({ state, stored }: ActionsProps) {
  const { made, saving, changed, fault, nameFault } = state
  return (
    <span className="no-print flex flex-wrap gap-2">
      {stored && (
        <button type="button" className="action" onClick={() => void state.remove()}>
          Delete
        </button>
      )}
      <button
        type="button"
        className="action"
        disabled={made.of.length < 2}
        onClick={() => void printDrawn()}
      >
        Print
      </button>
      <button
        type="button"
        className="action action-main"
        disabled={saving || !changed || fault !== undefined || nameFault !== undefined}
        title={nameFault && !fault ? 'Give it a name first.' : undefined}
        onClick={() => void state.save()}
      >
        {saving ? 'Saving …' : 'Save'}
      </button>
    </span>
  )
}

const noRows: readonly OwnRow[] = []

/** What follows from what is chosen, and its editions. */
function Beside({ state, stored, list, ...beside }: BesideProps) {
  const { made, change, changed } = state
  const own = made.figures ?? noRows
  const comparison = useMemo(() => compareTrials(list, comparedRows(list, own)), [list, own])
  const page = useRef<HTMLElement>(null)
  const title = made.name || 'comparison'
  return (
    <>
      <article ref={page}>
        <BesideParts {...beside} made={made} comparison={comparison} onChange={change} />
      </article>
      {stored && (
        <PublishPart
          published={{ kind: 'comparison', of: stored.id, title, stated: statedOfComparison(comparison) }}
          page={page}
          notYet={changed ? 'Save it first: an edition is of what is kept.' : undefined}
        />
      )}
    </>
  )
}
