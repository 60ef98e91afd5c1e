import type { TrialSettings } from '@even-watt/contract'
import {
  claimOf,
  claimValue,
  derive,
  dutyEfficiency,
  efficiencyAtInputs,
  hasFit,
  isFigure,
  peakOf,
  reachesOutside,
  sayClaim,
  say,
  sayRange,
  scale,
  toldBy,
  weightedEfficiency,
  weightings,
  type Analysis,
  type Derived,
  type FigureUnit,
  type LossFit,
  type Uncertain,
  type Weighting,
} from '@even-watt/core'
import type { ReactNode } from 'react'
import { Fig } from '../ui/Fig'

interface Props {
  readonly analysis: Analysis
  readonly rated: number | undefined
  readonly duty: TrialSettings['duty']
  /** The way to edit the duty, on screen only. */
  readonly dutyEditor?: ReactNode
}

/** What the curve amounts to: its terms, its peak, where the claim holds, and one number by each school. */
export function CurveFigures({ analysis, rated, duty, dutyEditor }: Props) {
  const { of, fit, loss } = toldBy(analysis.ladder)
  if (!hasFit(fit)) return <p className="text-quiet">{fit.missing}</p>
  const inputs = analysis.ladder.steps.map(loss).filter(isFigure)
  const figure = (
    symbol: string,
    unit: FigureUnit,
    formula: string,
    x: Uncertain | undefined,
    notes: string[] = [],
  ): Derived =>
    x ? derive(symbol, unit, formula, inputs, x, notes) : { missing: 'Not inside the measured range.' }
  const peak = peakOf(fit)
  const claim = claimOf(analysis.record.revision.unit, 'efficiency')
  const outside = (loads: readonly number[]) =>
    reachesOutside(fit, loads) ? ['Reaches outside the measured range: extrapolated.'] : []
  const weighted = (weighting: Weighting): Derived => {
    if (!rated) return { missing: 'The unit claims no continuous power, so there is no rating to weigh by.' }
    const x = weightedEfficiency(fit, weighting, rated)
    const [lowest, highest] = [weightings[weighting][0][0] * rated, rated]
    return x
      ? figure(`η ${weighting}`, '%', 'Σ weight · η(share of rating)', x)
      : {
          missing: `It needs steps from ${say(lowest, 'W')} to ${say(highest, 'W')}; measured are ${say(fit.low, 'W')} to ${say(fit.high, 'W')}.`,
        }
  }
  const atInputs = efficiencyAtInputs(analysis)
  return (
    <div className="grid gap-x-8 gap-y-2 text-[0.97rem] md:grid-cols-2">
      {of !== 'unit' && (
        <p className="text-quiet col-span-full">
          Only the posts were read, so this is the unit with its leads: the unit alone is no worse.
        </p>
      )}
      <dl className="grid grid-cols-[auto_1fr] content-start gap-x-4 gap-y-0.5">
        <Row words="Peak">
          {peak ? (
            <>
              <Fig of={figure('η_peak', '%', '1/(1 + p1 + 2·√(p0·p2))', peak.eta)} withUnit /> at{' '}
              <Fig of={figure('P_peak', 'W', '√(p0/p2)', peak.P)} withUnit />
            </>
          ) : (
            'no peak inside the measured range'
          )}
        </Row>
        {claim && <Row words="Claim">{sayRange(fit, claimValue(claim), sayClaim(claim))}</Row>}
        <Row words="European">
          <Fig of={weighted('European')} withUnit />
        </Row>
        <Row words="Californian">
          <Fig of={weighted('Californian')} withUnit />
        </Row>
        {atInputs.map(({ which, volts, watts, eta }) => (
          <Row key={which} words={`${which.charAt(0).toUpperCase()}${which.slice(1)} input`}>
            <Fig of={eta} withUnit /> with {say(volts, 'V')}, at {say(watts, 'W')}
          </Row>
        ))}
        <Row words="Duty">
          {duty.length ? (
            <Duty
              of={figure(
                'η_duty',
                '%',
                'Σh·P / Σh·(P + P_loss)',
                dutyEfficiency(fit, duty),
                outside(duty.map((line) => line.load)),
              )}
            />
          ) : (
            <span className="text-quiet">no duty given yet: hours at each load, idle included</span>
          )}
          {dutyEditor}
        </Row>
      </dl>
      <Terms fit={fit} figure={figure} />
    </div>
  )
}

function Duty({ of }: { of: Derived }) {
  const extrapolated = isFigure(of) && of.working.notes.length > 0
  return (
    <>
      <Fig of={of} withUnit />
      {extrapolated && <span className="text-quiet"> partly extrapolated</span>}
    </>
  )
}

type MakeFigure = (
  symbol: string,
  unit: FigureUnit,
  formula: string,
  x: Uncertain | undefined,
  notes?: string[],
) => Derived

function Terms({ fit, figure }: { fit: LossFit; figure: MakeFigure }) {
  const formula = 'weighted least squares of the loss against S'
  return (
    <div>
      <p>
        P<sub>loss</sub> = p0 + p1·S + p2·S²{fit.fan.size > 0 && ' + fan'}
      </p>
      <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
        <Row words="p0">
          <Fig of={figure('p0', 'W', formula, fit.p0, [...fit.notes])} withUnit />
        </Row>
        <Row words="p1">
          <Fig of={figure('p1', '', formula, scale(fit.p1, 1e3), [...fit.notes])} /> mW/VA
        </Row>
        <Row words="p2">
          <Fig of={figure('p2', '', formula, scale(fit.p2, 1e6), [...fit.notes])} /> µW/VA²
        </Row>
        {[...fit.fan].map(([state, x]) => (
          <Row key={state} words={`fan ${state}`}>
            <Fig of={figure(`fan ${state}`, 'W', formula, x, [...fit.notes])} withUnit />
          </Row>
        ))}
      </dl>
      {fit.notes.map((note) => (
        <p key={note} className="text-quiet">
          {note}
        </p>
      ))}
    </div>
  )
}

function Row({ words, children }: { words: string; children: ReactNode }) {
  return (
    <div className="contents">
      <dt className="text-quiet">{words}</dt>
      <dd>{children}</dd>
    </div>
  )
}
