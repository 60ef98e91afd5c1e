import { portSentences, recordedOf, sweepsOf, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'
import { Strip } from '../photographs/Strip'
import { SentenceList } from '../trials/SentenceList'
import { useTrial } from '../trials/useTrial'
import { LazyChart } from '../ui/chart/LazyChart'
import { portChart, portHeight, portLegend } from './portChart'

interface Props {
  readonly analysis: Analysis
  readonly editable?: boolean
}

/** Every test of ports in a sentence, and each loaded port as a curve. */
export function PortList({ analysis, editable = false }: Props) {
  const { view, trial } = useTrial()
  const said = useMemo(() => portSentences(analysis), [analysis])
  const sweeps = useMemo(() => sweepsOf(analysis.record), [analysis])
  const ports = [...new Set(sweeps.map(({ reading }) => reading.port))]
  const all = recordedOf(analysis.record, 'port')
  if (!all.length) return null
  return (
    <>
      <SentenceList
        what="this test"
        editable={editable}
        beside={(entry) => <Strip subject={{ about: entry }} of="this test" />}
        lines={all.map(({ id, reading }) => ({
          entry: id,
          sentence: said.get(id)?.join(' ') ?? `Test of ${reading.test}`,
          note: reading.note,
          why: view.record.struckWhy.get(id),
        }))}
      />
      <div className="mt-3 grid gap-6 lg:grid-cols-2">
        {ports.map((port) => (
          <PortCurve
            key={port}
            title={`${trial.title}: ${port}`}
            port={port}
            sweeps={sweeps.filter(({ reading }) => reading.port === port)}
          />
        ))}
      </div>
    </>
  )
}

function PortCurve({
  title,
  port,
  sweeps,
}: {
  title: string
  port: string
  sweeps: ReturnType<typeof sweepsOf>
}) {
  const build = useMemo(() => portChart(sweeps), [sweeps])
  const legend = useMemo(() => portLegend(sweeps.some(({ reading }) => reading.lead)), [sweeps])
  return (
    <LazyChart
      title={port}
      description={sweeps.map(({ sentence }) => sentence).join(' ')}
      fileName={title}
      height={portHeight}
      build={build}
      legend={legend}
    />
  )
}
