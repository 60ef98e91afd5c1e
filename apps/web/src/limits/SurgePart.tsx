import { claimValue, say, sayClaim, sayDuration, surgeCurveOf, type Analysis } from '@even-watt/core'
import { useMemo, useState } from 'react'
import { VerdictLines } from '../findings/VerdictLines'
import type { TrialState } from '../trials/useTrial'
import { LazyChart } from '../ui/chart/LazyChart'
import { Fig } from '../ui/Fig'
import { surgeChart, surgeHeight, surgeLegend, type Machine } from './surgeChart'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly title: string
  readonly analysis: Analysis
  readonly findings: TrialState['view']['findings']
  /** Machines to be laid over it, where it is drawn in VA. */
  readonly machines?: readonly Machine[]
}

const none: readonly Machine[] = []

/** The highest mean power over each time, from all that was carried; the promises as marks at their own time. */
export function SurgePart({ title, analysis, findings, machines = none }: Props) {
  const [inVA, setInVA] = useState(false)
  const curve = useMemo(() => surgeCurveOf(analysis), [analysis])
  const { claims } = analysis.record.revision.unit
  const promised = claims.filter(({ quantity }) => quantity === 'surge power')
  const judged = findings.filter(({ claim }) => claim.quantity === 'surge power')
  const build = useMemo(() => surgeChart(curve, claims, inVA, machines), [curve, claims, inVA, machines])
  const kind = !promised.length
    ? 'none'
    : promised.some(({ duration }) => duration === undefined)
      ? 'untimed'
      : 'timed'
  const legend = useMemo(() => surgeLegend(kind, inVA && machines.length > 0), [kind, inVA, machines])
  const times = [...new Set([...curve.points, ...curve.sagged].map(({ seconds }) => seconds))].sort(
    (a, b) => a - b,
  )
  const at = (points: typeof curve.points, seconds: number) =>
    points.find((point) => point.seconds === seconds)
  return (
    <>
      <VerdictLines findings={judged} />
      {times.length === 0 ? (
        <p className="max-w-prose">
          Nothing was carried for a measured time on this rig yet. A captured start, an overload with its
          seconds, or a step that was held: each draws this curve.
        </p>
      ) : (
        <>
          <div className="no-print mt-2 flex gap-4" role="group" aria-label="Power as">
            {(['W', 'VA'] as const).map((unit) => (
              <button
                key={unit}
                type="button"
                aria-pressed={inVA === (unit === 'VA')}
                className={inVA === (unit === 'VA') ? 'font-bold' : 'plain-link'}
                onClick={() => setInVA(unit === 'VA')}
              >
                {unit}
              </button>
            ))}
          </div>
          <LazyChart
            title={inVA ? 'Volt-amperes against time' : 'Watts against time'}
            description={`The best of each time: ${times.map((s) => `${sayDuration(s)} ${say((at(curve.points, s) ?? at(curve.sagged, s))?.W.x.value ?? 0, 'W')}`).join(', ')}.`}
            fileName={`${title} surge`}
            height={surgeHeight}
            build={build}
            legend={legend}
          />
          <FitTable className="mt-2 max-w-3xl">
            <thead>
              <tr>
                <th>for</th>
                <th className="right">carried, W</th>
                <th className="right">VA</th>
                <th>by</th>
                <th className="right">volts under 90 %, W</th>
              </tr>
            </thead>
            <tbody>
              {times.map((seconds) => {
                const [best, sagged] = [at(curve.points, seconds), at(curve.sagged, seconds)]
                return (
                  <tr key={seconds}>
                    <td className="figures whitespace-nowrap">
                      {seconds < 0.05 ? 'one cycle' : sayDuration(seconds)}
                    </td>
                    <td className="right">{best ? <Fig of={best.W} hue="ac" /> : '–'}</td>
                    <td className="figures right">{best?.VA === undefined ? '–' : say(best.VA, '')}</td>
                    <td className="text-quiet">{(best ?? sagged)?.source.words}</td>
                    <td className="right">{sagged ? <Fig of={sagged.W} hue="ac" /> : '–'}</td>
                  </tr>
                )
              })}
            </tbody>
          </FitTable>
          {promised.map((claim) => (
            <p key={claim.id} className="text-quiet mt-1">
              Promised: {sayClaim(claim)}
              {claim.duration === undefined &&
                `; no time is stated, so ${say(claimValue(claim), 'W')} is drawn through all of them`}
              .
            </p>
          ))}
        </>
      )}
    </>
  )
}
