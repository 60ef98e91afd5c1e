import { isFigure, ranFor, viewTrial } from '@even-watt/core'
import { useMemo } from 'react'
import { api, problemOf } from '../api/api'
import { nameOfLog, sayMinutes } from '../logs/words'
import { shortDate } from '../ui/dates'
import { Fig } from '../ui/Fig'
import { FitTable } from '../ui/FitTable'
import { Section } from '../ui/Section'

const told = [
  ['E_C', 'at the outlet'],
  ['E_B', 'from the bank'],
] as const

/** Runs of another trial of the unit, as evidence from earlier: what ran, for how long, and its energy where that was read. */
export function EarlierRuns({ trial: id }: { readonly trial: string }) {
  const { data, error } = api.useDocumentQuery(id)
  const logs = useMemo(
    () => (data ? viewTrial(data.trial, data.entries).analyses.flatMap((analysis) => analysis.logs) : []),
    [data],
  )
  if (!data)
    return error ? (
      <p className="text-ochre mt-3">▲ {problemOf(error).title}</p>
    ) : (
      <p role="status" data-drawing>
        Reading the earlier runs …
      </p>
    )
  return (
    <Section title={`Earlier runs, of “${data.trial.title}”`}>
      {logs.length ? (
        <FitTable>
          <thead>
            <tr>
              <th>day</th>
              <th>run</th>
              <th className="right">ran for</th>
              {told.map(([key, words]) => (
                <th key={key} className="right">
                  {words}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {logs.map((log) => (
              <tr key={log.entry.id}>
                <td className="whitespace-nowrap">{shortDate(log.entry.at)}</td>
                <td>
                  {nameOfLog(log)}
                  {log.entry.reading.note && <span className="text-quiet"> {log.entry.reading.note}</span>}
                </td>
                <td className="figures right whitespace-nowrap">{sayMinutes(ranFor(log))}</td>
                {told.map(([key]) => {
                  const { figure } = log.energies[key]
                  return (
                    <td key={key} className="right whitespace-nowrap">
                      {isFigure(figure) ? <Fig of={figure} withUnit /> : '–'}
                    </td>
                  )
                })}
              </tr>
            ))}
          </tbody>
        </FitTable>
      ) : (
        <p>Nothing was run in it.</p>
      )}
    </Section>
  )
}
