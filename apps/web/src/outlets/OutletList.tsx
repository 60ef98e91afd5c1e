import { outletSentences, recordedOf, type Analysis } from '@even-watt/core'
import { useMemo } from 'react'
import { Strip } from '../photographs/Strip'
import { SentenceList } from '../trials/SentenceList'
import { useTrial } from '../trials/useTrial'

interface Props {
  readonly analysis: Analysis
  readonly editable?: boolean
}

/** Every test behind the outlets, in sentences. */
export function OutletList({ analysis, editable = false }: Props) {
  const { view } = useTrial()
  const said = useMemo(() => outletSentences(analysis), [analysis])
  return (
    <SentenceList
      what="this test"
      editable={editable}
      beside={(entry) => <Strip subject={{ about: entry }} of="this test" />}
      lines={recordedOf(analysis.record, 'outlet').map(({ id, reading }) => ({
        entry: id,
        sentence: said.get(id)?.join(' ') ?? reading.test,
        note: reading.note,
        why: view.record.struckWhy.get(id),
      }))}
    />
  )
}
