import { bankNominal, isFit, isFigure, sayFigure, type Derived, type SupplyEvidence } from '@even-watt/core'
import { RigPicture } from '../rigs/RigStagePage'
import { RigHead } from '../rigs/RigTabs'
import { useTrial } from '../trials/useTrial'
import { Fig } from '../ui/Fig'
import { Notice } from '../ui/Notice'
import { AtOnce } from './AtOnce'
import { LoadSlider } from './LoadSlider'
import { useSlidLoad } from './useSlidLoad'
import { useUnitQuestion } from './useUnitQuestion'

/** What was measured of the supply, next to what was promised of it, and what follows. */
export function SupplyPage() {
  const { analysis } = useTrial()
  const { supply } = analysis
  const unit = useUnitQuestion(analysis)
  const load = useSlidLoad(supply.known, bankNominal(analysis.record.revision.rig.bank))
  const { current, later } = load
  return (
    <>
      <RigHead />
      <h2>What the supply is</h2>
      <SupplyTable supply={supply} />
      {supply.disagreements.map((sentence) => (
        <Notice key={sentence} kind="odd" word="Apart">
          {sentence}
        </Notice>
      ))}
      <h2 className="mt-4">At {current} A</h2>
      <LoadSlider load={load} />
      <RigPicture analysis={analysis} at={current} />
      <AtOnce
        key={analysis.record.revision.number}
        current={later}
        rig={analysis.record.revision.rig}
        known={supply.known}
        survey={supply.surveys.at(-1)}
        unit={unit}
      />
    </>
  )
}

/** E, R_source and R_path by every way they are known. */
export function SupplyTable({ supply }: { supply: SupplyEvidence }) {
  const { promised, atA, atB, ladderPath, surveyedPath, loadTests } = supply
  const bankTest = loadTests.filter(({ entry }) => entry.reading.battery === undefined).at(-1)
  const none = { missing: 'This way does not tell it.' }
  const fitted = (tap: 'A' | 'B', part: 'E' | 'R'): Derived => {
    const fit = tap === 'A' ? atA : atB
    return isFit(fit) ? fit[part] : fit
  }
  const rows: readonly (readonly [string, string, Derived, Derived, Derived, Derived])[] = [
    ['E', 'volts at no current', fitted('A', 'E'), none, none, promised.E],
    [
      'R_source',
      'bank, behind the posts',
      fitted('A', 'R'),
      bankTest?.R_10 ?? { missing: 'No load test of the bank yet.' },
      none,
      promised.R_bank,
    ],
    ['R_path', 'posts to terminals', ladderPath, none, surveyedPath, promised.R_path],
    ['R_total', 'behind the terminals', fitted('B', 'R'), none, none, none],
  ]
  return (
    <div className="overflow-x-auto">
      <table className="list-table max-w-5xl">
        <thead>
          <tr>
            <th>figure</th>
            <th className="right">ladder, minutes</th>
            <th className="right">load test, 10 s</th>
            <th className="right">drop survey</th>
            <th className="right">expected, not measured</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([symbol, words, ...figures]) => (
            <tr key={symbol}>
              <td>
                <span className="figures">{symbol}</span> <span className="text-quiet">{words}</span>
              </td>
              {figures.map((figure, i) => (
                <td key={i} className="right">
                  <Fig of={figure} withUnit ungraded={i === 3} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {isFit(atA) && atA.drift && isFigure(atA.drift) && (
        <p className="text-quiet">
          The rest voltage drifted by {sayFigure(atA.drift)} per hour; the fit allows for it.
        </p>
      )}
    </div>
  )
}
