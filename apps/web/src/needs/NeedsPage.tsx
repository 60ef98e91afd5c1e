import type { Picked, TrialLine } from '@even-watt/contract'
import { needOf, outputOn, plain, unitForNeed } from '@even-watt/core'
import { useDeferredValue, useMemo, useState } from 'react'
import { Link } from 'react-router'
import { api } from '../api/api'
import { useCompared } from '../comparisons/useCompared'
import { printDrawn } from '../ui/drawn'
import { Notice } from '../ui/Notice'
import { Page } from '../ui/Page'
import { Cautions } from './Cautions'
import { blankNeeds, keepNeeds, keptNeeds, readNeeds, type NeedsForm } from './form'
import { NeedLines } from './NeedLines'
import { Outage } from './Outage'
import { SupplyFields } from './SupplyFields'
import { UnitsForNeed } from './UnitsForNeed'
import { Voltages } from './Voltages'

/** Trials that are looked through, and units that are laid side by side. */
const mostTrials = 200
const mostUnits = 8

/** What an owner's loads ask for: which tested unit, which battery, which leads and fuse, how long it runs. */
export function NeedsPage() {
  const [form, setForm] = useState<NeedsForm>(keptNeeds)
  const put = (change: Partial<NeedsForm>) => {
    const next = { ...form, ...change }
    setForm(next)
    keepNeeds(next)
  }
  const typed = useDeferredValue(form)
  const read = useMemo(() => readNeeds(typed), [typed])
  const need = useMemo(() => needOf(read.lines), [read])
  const trials = api.useTrialsQuery({ by: 'startedAt', limit: mostTrials })
  const of = useMemo(() => mostRead(trials.data?.trials ?? []), [trials.data])
  const { data: settings } = api.useSettingsQuery()
  const mains = useMemo(() => {
    const { outputVoltage, outputFrequency } = outputOn(settings?.mains ?? '230 V 50 Hz')
    return { volts: outputVoltage, hertz: outputFrequency }
  }, [settings])
  const { list, waiting, fault } = useCompared(of)
  const found = useMemo(
    () => list.map((one) => ({ one, fit: unitForNeed(need, read.lines, one.analysis, mains) })),
    [list, need, read, mains],
  )
  return (
    <Page
      title="What would you need"
      actions={
        <>
          <button type="button" className="action no-print" onClick={() => put(blankNeeds)}>
            Begin anew
          </button>
          <button type="button" className="action no-print" onClick={() => void printDrawn()}>
            Print
          </button>
        </>
      }
    >
      <NeedLines form={form} faults={read.faults} onChange={put} />
      {need.peak > 0 ? (
        <>
          {fault && <Notice kind="problem">{fault}</Notice>}
          {waiting && (
            <p className="text-quiet" role="status">
              Reading what was tested here …
            </p>
          )}
          <p className="text-quiet mt-3">
            For {plain(mains.volts)} V, {plain(mains.hertz)} Hz:{' '}
            <Link className="plain-link no-print" to="/settings">
              the mains of this bench
            </Link>
          </p>
          <UnitsForNeed found={found} need={need} lines={read.lines} />
          <SupplyFields form={form} faults={read.faults} onChange={put} />
          <Voltages need={need} read={read} found={found} />
          <Outage list={list} read={read} need={need} />
          <Cautions />
        </>
      ) : (
        <p className="mt-3 max-w-prose">
          Type what you want to run, its watts, and its hours a day. One line is enough to begin. Units are
          judged by what was measured on this bench, not by labels; each by its fullest trial.
        </p>
      )}
    </Page>
  )
}

/** Of each unit the trial in which most was read, on its last rig; the newest of those that are alike. */
function mostRead(trials: readonly TrialLine[]): Picked[] {
  const seen = new Set<string>()
  return [...trials]
    .sort((a, b) => b.entries - a.entries)
    .filter(({ unit, entries }) => entries > 0 && !seen.has(unit) && seen.add(unit))
    .slice(0, mostUnits)
    .map(({ id, revisions }) => ({ trial: id, revision: revisions }))
}
