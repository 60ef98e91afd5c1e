import type { ModeTest } from '@even-watt/contract'
import { modeTests, readingsOf } from '@even-watt/core'
import { useState } from 'react'
import { VerdictLines } from '../findings/VerdictLines'
import { StationRibbon } from '../station/StationRibbon'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { ChooseOne } from '../ui/ChooseOne'
import { AddWave } from '../captures/AddWave'
import { nameOfModeTest } from './fields'
import { ModeForm } from './ModeForm'
import { ModeList } from './ModeList'

const judged = new Set(['transfer time', 'mode draw', 'search-mode draw'])

/** What each mode draws, where it wakes, how it goes over between grid and battery. */
export function ModesPage() {
  const { analysis, view } = useTrial()
  const [test, setTest] = useState<ModeTest>('draw')
  const count = readingsOf(analysis.record, 'mode').length
  const transfer = modeTests(analysis.record, 'transfer').at(-1)
  return (
    <>
      <StageHead />
      <StationRibbon analysis={analysis} />
      <VerdictLines findings={view.findings.filter(({ claim }) => judged.has(claim.quantity))} />
      {count === 0 && (
        <p className="mt-2 max-w-prose">
          No mode is tested yet. Each draws something of its own: read its watts, or let it stand for hours
          and note what it lost, or what fills it again.
        </p>
      )}
      <ModeList analysis={analysis} editable />
      {transfer && (
        <div className="mt-3">
          <AddWave belongsTo={{ about: transfer.entry.id }} words="what was recorded of the last transfer" />
        </div>
      )}
      <section className="no-print mt-5">
        <h2>Test a mode</h2>
        <ChooseOne
          label="What was tested"
          options={(Object.keys(nameOfModeTest) as ModeTest[]).map(
            (one) => [one, nameOfModeTest[one]] as const,
          )}
          value={test}
          onChange={setTest}
        />
        <ModeForm key={`${analysis.record.revision.number} ${test} ${count}`} test={test} />
      </section>
    </>
  )
}
