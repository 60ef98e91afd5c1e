import type { StoredComparison } from '@even-watt/contract'
import { comparedRows, compareTrials } from '@even-watt/core'
import { useMemo } from 'react'
import { api } from '../api/api'
import { pageFor } from '../method/pageFor'
import { ShowWorking } from '../ui/ShowWorking'
import { BesideParts } from './BesideParts'
import { sourcesOf } from './besideSources'
import { namesIn } from './namesIn'
import { useCompared } from './useCompared'

/** A kept comparison as a part of a report: as it stands now, nothing to change. */
export function InReport({ id }: { id: string }) {
  const { data, error } = api.useComparisonsQuery()
  const stored = data?.find((one) => one.id === id)
  if (!stored)
    return data || error ? (
      <p className="text-ochre mt-3">▲ The comparison that stood here is not on this bench any more.</p>
    ) : (
      <Coming />
    )
  return <Shown stored={stored} />
}

const Coming = () => (
  <p role="status" data-drawing>
    Reading the comparison …
  </p>
)

function Shown({ stored }: { stored: StoredComparison }) {
  const { list, documents, waiting, fault } = useCompared(stored.of)
  const names = useMemo(() => namesIn(documents), [documents])
  const sources = useMemo(() => sourcesOf(stored.of, documents), [stored.of, documents])
  const comparison = useMemo(
    () => compareTrials(list, comparedRows(list, stored.figures ?? [])),
    [list, stored.figures],
  )
  if (fault) return <p className="text-ochre mt-3">▲ {fault}</p>
  if (waiting) return <Coming />
  return (
    <ShowWorking methodFor={pageFor} nameSource={names.nameSource} nameEntry={names.nameEntry}>
      <section className="mt-6">
        <h2 className="mb-2 border-b border-ink text-[1.15rem]">Compared: {stored.name}</h2>
        <BesideParts {...sources} made={stored} comparison={comparison} />
      </section>
    </ShowWorking>
  )
}
