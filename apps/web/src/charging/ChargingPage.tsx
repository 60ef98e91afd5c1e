import { readingsOf } from '@even-watt/core'
import { VerdictLines } from '../findings/VerdictLines'
import { BeginLog } from '../logs/BeginLog'
import { LogList } from '../logs/LogList'
import { StationRibbon } from '../station/StationRibbon'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { Charges } from './Charges'
import { InputForm } from './InputForm'
import { PanelMatcher } from './PanelMatcher'

/** What goes in: how much, how long until full, and which panels fit. */
export function ChargingPage() {
  const { analysis, view } = useTrial()
  const findings = view.findings.filter(
    ({ claim }) => claim.quantity === 'charge power' || claim.quantity === 'charge time',
  )
  const tested =
    readingsOf(analysis.record, 'charging').length > 0 ||
    analysis.logs.some(({ entry }) => entry.reading.what === 'charge')
  return (
    <>
      <StageHead />
      <StationRibbon analysis={analysis} />
      <VerdictLines findings={findings} />
      <p className="text-quiet mt-2">
        Panels give their full volts in any light: cover them before plugging. Never more volts than the input
        stands, on the coldest morning too.
      </p>
      {!tested && (
        <p className="mt-2 max-w-prose">
          No charging is tested yet. Begin a charge and look at it now and then, or note what the input takes
          at some volts.
        </p>
      )}
      <Charges analysis={analysis} editable />
      <LogList analysis={analysis} kinds={['charge']} />
      <BeginLog kinds={['charge']} />
      <InputForm key={analysis.record.revision.number} />
      <PanelMatcher />
    </>
  )
}
