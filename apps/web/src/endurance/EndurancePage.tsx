import { promiseOf } from '@even-watt/core'
import { VerdictLines } from '../findings/VerdictLines'
import { BeginLog } from '../logs/BeginLog'
import { LogList } from '../logs/LogList'
import { OddityNotices } from '../oddities/OddityNotices'
import { StationRibbon } from '../station/StationRibbon'
import { StageHead } from '../trials/StageHead'
import { useOddities } from '../trials/useOddities'
import { useTrial } from '../trials/useTrial'
import { HotSpots } from './HotSpots'
import { Holds } from './Holds'
import { RunDowns } from './RunDowns'

const kinds = ['run-down', 'rated hold', 'tier hold', 'idle'] as const
const noticedHere = new Set([27, 33, 34, 35, 38, 40])

/** For how long, how much energy, how warm, how loud: promises first, then what was run. */
export function EndurancePage() {
  const { analysis, view } = useTrial()
  const findings = view.findings.filter(({ claim }) => promiseOf(claim.quantity).at === 'endurance')
  const logs = new Set(analysis.logs.map(({ entry }) => entry.id))
  const oddities = useOddities().filter(
    ({ number, at }) => noticedHere.has(number) && (at.entry === undefined || logs.has(at.entry)),
  )
  const tested = analysis.logs.some(({ entry }) => (kinds as readonly string[]).includes(entry.reading.what))
  return (
    <>
      <StageHead />
      <StationRibbon analysis={analysis} />
      <VerdictLines findings={findings} />
      <p className="text-quiet mt-2">
        Clear space, nothing that burns, an isolator within reach. Stay with what heats; overnight only what
        the maker lets run alone.
      </p>
      <OddityNotices oddities={oddities} />
      {!tested && (
        <p className="mt-2 max-w-prose">
          Nothing was held or run down on this rig yet. Begin one below: note the volts, watts and heat now
          and then, or bring in what a logger wrote.
        </p>
      )}
      <RunDowns analysis={analysis} />
      <Holds analysis={analysis} />
      <HotSpots analysis={analysis} />
      <LogList analysis={analysis} kinds={kinds} />
      <BeginLog kinds={kinds} />
    </>
  )
}
