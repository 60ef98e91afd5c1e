import type { OwnRow, Revision, StoredComparison } from '@even-watt/contract'
import { compareTrials, rowsOf, statedOfComparison, type Compared } from '@even-watt/core'
import { useMemo, useRef } from 'react'
import { useParams } from 'react-router'
import { api } from '../api/api'
import { pageFor } from '../method/pageFor'
import { MetersUsed } from '../meters/MetersUsed'
import type { PhotographEntry } from '../photographs/usePhotographs'
import { PublishPart } from '../editions/PublishPart'
import { TextField } from '../ui/form'
import { Loaded } from '../ui/Loaded'
import { Notice, ProblemNotice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { ShowWorking } from '../ui/ShowWorking'
import { Chosen } from './Chosen'
import { ClaimTable } from './ClaimTable'
import { ConditionTable } from './ConditionTable'
import { Curves } from './Curves'
import { FigureTable } from './FigureTable'
import { namesIn } from './namesIn'
import { OnSameSupply } from './OnSameSupply'
import { BankTable, Overlays } from './Overlays'
import { PerWatt } from './PerWatt'
import { photographsIn } from './photographsIn'
import { PicturesBeside } from './PicturesBeside'
import { beside } from './picked'
import { RankingPart } from './RankingPart'
import { TrialPicker } from './TrialPicker'
import { SuitsTable } from './SuitsTable'
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
  const photographs = useMemo(() => photographsIn(compared.documents), [compared.documents])
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
          <Beside
            list={compared.list}
            revisions={made.of.flatMap(
              ({ trial, revision }) =>
                compared.documents.get(trial)?.trial.revisions.filter(({ number }) => number === revision) ??
                [],
            )}
            photographs={photographs}
            state={state}
            stored={stored}
          />
        )}
      </Page>
    </ShowWorking>
  )
}

interface BesideProps {
  readonly list: readonly Compared[]
  /** As they stand in the record, without what captures add to their meters. */
  readonly revisions: readonly Revision[]
  /** By the id of the trial. */
  readonly photographs: ReadonlyMap<string, readonly PhotographEntry[]>
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
      <button type="button" className="action" disabled={made.of.length < 2} onClick={() => print()}>
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

/** What follows: the answer, then under what conditions, then promise by promise and figure by figure. */
function Beside({ list, revisions, photographs, state, stored }: BesideProps) {
  const { made, change, changed } = state
  const own = made.figures ?? noRows
  const comparison = useMemo(() => compareTrials(list, rowsOf(own)), [list, own])
  const page = useRef<HTMLElement>(null)
  const title = made.name || 'comparison'
  return (
    <>
      <article ref={page}>
        <section aria-label="The answer" className="max-w-4xl">
          {made.note && <p className="text-quiet">{made.note}</p>}
          {comparison.answer.map((sentence, i) => (
            <p key={sentence} className={i === 0 ? 'mb-2 text-[1.15rem]' : 'mb-1'}>
              {sentence}
            </p>
          ))}
        </section>
        <ConditionTable list={list} conditions={comparison.conditions} />
        <ClaimTable list={list} claims={comparison.claims} />
        <FigureTable
          list={list}
          rows={comparison.rows}
          hours={comparison.hours}
          own={own}
          onOwn={(figures) => change({ figures: [...figures] })}
        />
        <Curves list={list} curves={comparison.curves} title={title} />
        <Overlays list={list} title={title} />
        <SuitsTable list={list} />
        <OnSameSupply list={list} />
        <BankTable list={list} />
        <PerWatt list={list} />
        <RankingPart
          list={list}
          hours={comparison.hours}
          weights={made.weights ?? {}}
          onChange={(weights) => change({ weights: { ...weights } })}
        />
        <PicturesBeside list={list} photographs={photographs} />
        <MetersUsed revisions={revisions} />
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
