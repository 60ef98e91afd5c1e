import {
  formatNumber,
  litAtSteps,
  ratedPower,
  say,
  shownBars,
  type Analysis,
  type Bars,
  type LitAtStep,
} from '@even-watt/core'
import { useMemo } from 'react'
import { Fig } from '../ui/Fig'
import { FitTable } from '../ui/FitTable'

/** What the lamps or bars of a coarse display are worth. */
export function BarsTable({ analysis }: { readonly analysis: Analysis }) {
  const { load, charge } = useMemo(() => shownBars(analysis), [analysis])
  const lit = useMemo(() => litAtSteps(analysis), [analysis])
  const { unit } = analysis.record.revision
  if (!load && !charge && !lit.length) return null
  return (
    <section className="mt-4 max-w-3xl break-inside-avoid">
      <h2>Its bars</h2>
      {load && <BarsOf bars={load} what="of load" unit="W" verb="lights" rated={ratedPower(unit)} />}
      {charge && <BarsOf bars={charge} what="of charge" unit="Wh" verb="goes out" />}
      {lit.length > 0 && <Lit steps={lit} />}
    </section>
  )
}

/** Which bar should have lit at each load, by its share of the rating. */
function Lit({ steps }: { readonly steps: readonly LitAtStep[] }) {
  const percent = (share: number) => formatNumber(100 * share, 0)
  return (
    <FitTable className="mt-2 max-w-2xl" aria-label="Bars that should light">
      <thead>
        <tr>
          <th>load</th>
          <th className="right">watts</th>
          <th className="right">of the rating</th>
          <th>bars that should light</th>
          <th>lit</th>
        </tr>
      </thead>
      <tbody>
        {steps.map(({ load, P_C, share, lit, inAll, should, off }, i) => (
          <tr key={i}>
            <td>{load}</td>
            <td className="right whitespace-nowrap">
              <Fig of={P_C} withUnit />
            </td>
            <td className="figures right">{percent(share)} %</td>
            <td>
              {should.bars} of {inAll}
              <span className="text-quiet">
                , for {percent(should.from)} to {percent(should.to)} %
              </span>
            </td>
            <td className="whitespace-nowrap">
              {lit}{' '}
              {off ? <span className="text-ochre">▲ off</span> : <span className="text-moss">● agrees</span>}
            </td>
          </tr>
        ))}
      </tbody>
    </FitTable>
  )
}

interface Props {
  readonly bars: Bars
  readonly what: string
  readonly unit: 'W' | 'Wh'
  readonly verb: string
  /** W that the label promises. */
  readonly rated?: number | undefined
}

function BarsOf({ bars: { lights, each, crooked, unsteady }, what, unit, verb, rated }: Props) {
  const figure = (x: number) => say(Math.abs(x), unit)
  return (
    <>
      <p className="mt-1">
        {each === undefined
          ? `One bar ${what} has a place so far; two are needed to say what a bar is worth.`
          : `A bar ${what} is worth about ${figure(each)}${rated ? `, ${say((100 * each) / rated, '%', 2)} of the rating` : ''}.`}
        {crooked &&
          ` The bars are uneven: bar ${crooked.bar} stands ${figure(crooked.by)} ${crooked.by > 0 === (unit === 'W') ? 'late' : 'early'}.`}
        {unsteady && ' More bars stood at less than fewer did: it lags or flickers.'}
      </p>
      <FitTable className="max-w-md">
        <thead>
          <tr>
            <th>bar {what}</th>
            <th className="right">{verb} between</th>
            {rated && <th className="right">of the rating</th>}
          </tr>
        </thead>
        <tbody>
          {lights.map(({ bar, from, to }) => (
            <tr key={bar}>
              <td className="figures">{bar}</td>
              <td className="figures right">
                {unit === 'W' ? `${figure(from)} and ${figure(to)}` : `${figure(to)} and ${figure(from)}`}
              </td>
              {rated && (
                <td className="figures right">
                  {formatNumber((100 * from) / rated, 0)} to {formatNumber((100 * to) / rated, 0)} %
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </FitTable>
    </>
  )
}
