import type { Rig } from '@even-watt/contract'
import {
  bankNominal,
  describeBank,
  elementStates,
  isFigure,
  minimumBms,
  pointAt,
  promisedSupply,
  say,
  rippleBoundStepped,
  rmsCurrent,
  sharing,
  takeOffs,
  unknownResistances,
  viewSupply,
  weakestLinks,
  type KnownSupply,
  type SupplyQuestion,
  type SurveyFigures,
} from '@even-watt/core'
import { memo, useCallback, useMemo, useState } from 'react'
import { SizingAdvice } from '../conductors/SizingAdvice'
import { readNumber, TextField, typed } from '../ui/form'
import { LazyChart } from '../ui/chart/LazyChart'
import type { ChartTheme } from '../ui/chart/theme'
import { headroomChart } from './headroomChart'

interface Props {
  readonly rig: Rig
  /** A into the unit. */
  readonly current: number
  /** Measured values, where a trial has them. */
  readonly known?: KnownSupply
  readonly survey?: SurveyFigures | undefined
  /** The unit's own alarm, cutoff and loss, where it is known. */
  readonly unit?:
    (SupplyQuestion & { readonly words: string; readonly claim: number | undefined }) | undefined
}

const perCell = { alarm: 10.8 / 12, cutoff: 10.4 / 12 }

/** Drops, weakest link, headroom and sharing of a rig at a current. */
export const AtOnce = memo(function AtOnce({ rig, current, known, survey, unit }: Props) {
  const nominal = bankNominal(rig.bank)
  const [alarmTyped, setAlarm] = useState(typed(nominal * perCell.alarm))
  const [efficiencyTyped, setEfficiency] = useState('90')
  const alarm = readNumber(alarmTyped)
  const efficiency = readNumber(efficiencyTyped)
  const supply = useMemo(() => known ?? promisedSupply(rig), [known, rig])
  const eta = Math.min(0.999, Math.max(0.05, (efficiency.value ?? 90) / 100))
  const threshold = alarm.value ?? nominal * perCell.alarm
  const question = useMemo<SupplyQuestion>(
    () =>
      unit ?? {
        alarm: threshold,
        cutoff: (threshold * perCell.cutoff) / perCell.alarm,
        loss: (P) => P / eta - P,
      },
    [unit, threshold, eta],
  )
  const view = useMemo(() => viewSupply(rig, supply, question), [rig, supply, question])
  const [ripple, setRipple] = useState(0)
  const states = useMemo(() => elementStates(rig, current, survey, ripple), [rig, current, survey, ripple])
  const links = useMemo(() => weakestLinks(rig, rmsCurrent(current, ripple)), [rig, current, ripple])
  const point = pointAt(supply, current)
  const lost = states.reduce((sum, { watts }) => sum + watts, 0)
  const build = useCallback(
    (theme: ChartTheme) => headroomChart(view, question, unit?.claim, theme),
    [view, question, unit?.claim],
  )
  const unknown = unknownResistances(rig.bank)

  return (
    <div className="grid grid-cols-1 gap-4">
      <div className="grid grid-cols-2 items-end gap-3 md:grid-cols-4">
        {unit ? (
          <p className="text-quiet col-span-full">{unit.words}</p>
        ) : (
          <>
            <TextField
              label="Alarm of the unit"
              unit="V"
              value={alarmTyped}
              onChange={(event) => setAlarm(event.target.value)}
              error={alarm.why}
              inputMode="decimal"
            />
            <TextField
              label="Its efficiency"
              unit="%"
              value={efficiencyTyped}
              onChange={(event) => setEfficiency(event.target.value)}
              error={efficiency.why}
              hint="assumed"
              inputMode="decimal"
            />
          </>
        )}
      </div>
      <label className="flex flex-wrap items-center gap-2">
        <span className="text-quiet">heat and ratings by</span>
        <select
          className="input w-auto"
          value={ripple}
          onChange={(event) => setRipple(Number(event.target.value))}
        >
          <option value={0}>the mean current</option>
          <option value={0.71}>
            RMS with full ripple of a sine unit, × {rmsCurrent(1, 0.71).toFixed(2)}
          </option>
          <option value={rippleBoundStepped(0.7)}>
            RMS of an unfiltered stepped wave, × {rmsCurrent(1, rippleBoundStepped(0.7)).toFixed(2)}
          </option>
        </select>
      </label>
      <p className="text-lg">
        {point ? (
          <>
            <Said words="A" value={say(point.V_A, 'V', 4)} />{' '}
            <Said words="B" value={say(point.V_B, 'V', 4)} />{' '}
            <Said words="into the unit" value={say(Math.max(0, point.V_B * point.I), 'W')} />{' '}
          </>
        ) : (
          <span className="text-quiet">
            Volts at A and B need the resistance of {unknown.join(', ') || 'a closed bank'}: a short load test
            tells.{' '}
          </span>
        )}
        <Said words="lost in the path" value={say(lost, 'W')} />
        {rig.support && point && (
          <Said words={`of it from the ${rig.support.name}`} value={say(point.I_support, 'A')} />
        )}
      </p>
      <div className="grid gap-6 lg:grid-cols-2">
        <div className="min-w-0 overflow-x-auto">
          <h3 className="font-semibold">Each element at {current} A, in path order</h3>
          <table className="list-table">
            <thead>
              <tr>
                <th>element</th>
                <th className="right">mΩ</th>
                <th className="right">mV</th>
                <th className="right">W</th>
                <th>heat</th>
              </tr>
            </thead>
            <tbody>
              {states.map(({ element, side, resistance, surveyed, drop, watts, temperature, heat }) => (
                <tr key={element.id}>
                  <td>
                    {side === 'positive' ? '+' : '−'} {element.name}
                  </td>
                  <td className="figures right" title={surveyed ? 'surveyed' : 'expected'}>
                    {(resistance * 1000).toPrecision(3)}
                    {!surveyed && <span className="text-quiet"> exp.</span>}
                  </td>
                  <td className="figures right">{(drop * 1000).toFixed(1)}</td>
                  <td className="figures right">{watts.toFixed(2)}</td>
                  <td className={heat === 'hot' ? 'text-madder' : heat === 'warm' ? 'text-ochre' : ''}>
                    {heat === 'hot' ? '■ hot' : heat === 'warm' ? '▲ warm' : 'cool'}
                    {temperature !== undefined && (
                      <span className="text-quiet"> {temperature.toFixed(0)} °C</span>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div className="min-w-0 overflow-x-auto">
          <h3 className="font-semibold">Weakest link at {current} A</h3>
          <table className="list-table">
            <thead>
              <tr>
                <th>what</th>
                <th className="right">stands</th>
                <th className="right">margin</th>
                <th>may be exceeded</th>
              </tr>
            </thead>
            <tbody>
              {links.map((link) => (
                <tr key={link.id + link.kind}>
                  <td title={link.because}>{link.name}</td>
                  <td className="figures right">
                    {link.continuous === undefined ? '–' : `${link.continuous.toFixed(0)} A`}
                  </td>
                  <td className={`figures right ${(link.margin ?? 1) < 0 ? 'text-madder' : ''}`}>
                    {link.margin === undefined ? (
                      <span title={link.because}>–</span>
                    ) : (
                      `${link.margin < 0 ? '■ −' : ''}${Math.abs(link.margin * 100).toFixed(0)} %`
                    )}
                  </td>
                  <td>{sayTime(link.allowed, link.margin)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-quiet mt-1 text-[0.85rem]">
            Each battery’s own protection must carry at least {say(minimumBms(rig, current), 'A')}.
          </p>
        </div>
      </div>
      {view && (
        <section>
          <h3 className="font-semibold">Headroom</h3>
          <p>
            {sayReach(
              view.toAlarm.outputPower,
              view.toAlarm.inputPower,
              view.toAlarm.current,
              view.toAlarm.limitedBy,
            )}{' '}
            {`The cutoff would come at ${say(view.toCutoff.outputPower, 'W')} out, ${say(view.toCutoff.inputPower, 'W')} in, limited by ${view.toCutoff.limitedBy}.`}{' '}
            {unit?.claim !== undefined &&
              (view.toAlarm.outputPower >= unit.claim
                ? `The claim of ${say(unit.claim, 'W')} can be shown on it.`
                : `A claim of ${say(unit.claim, 'W')} cannot be shown on it.`)}
            {supply.E && isFigure(supply.E) && supply.E.grade !== 'measured' && (
              <span className="text-quiet"> From what the rig promises; nothing of it is measured yet.</span>
            )}
          </p>
          <LazyChart
            title="Volts at the terminals against load"
            description="V at B against output watts, with the alarm and the cutoff."
            fileName="headroom"
            height={230}
            build={build}
          />
        </section>
      )}
      <Sharing rig={rig} current={current} />
      <SizingAdvice
        brief
        nominal={nominal}
        lowest={question.alarm}
        power={unit?.claim ?? view?.toAlarm.outputPower ?? 1000}
        efficiency={eta}
        ambient={rig.ambient}
      />
    </div>
  )
})

const Said = ({ words, value }: { words: string; value: string }) => (
  <span className="mr-4 inline-block">
    <span className="text-quiet text-base">{words}</span>{' '}
    <span className="figures font-semibold">{value}</span>
  </span>
)

const sayReach = (out: number, input: number, current: number, limit: string) =>
  `Before the alarm at most ${say(out, 'W')} out (${say(input, 'W')} in, ${say(current, 'A')}), limited by ${limit}.`

function sayTime(allowed: number | undefined, margin: number | undefined): string {
  if (margin === undefined || margin >= 0) return ''
  if (allowed === undefined) return 'no curve known'
  if (allowed < 90) return `${allowed.toPrecision(2)} s`
  return `${(allowed / 60).toPrecision(2)} min`
}

/** How the current divides between strings, as the bank is and for each take-off. */
function Sharing({ rig, current }: { rig: Rig; current: number }) {
  const { strings } = rig.bank
  if (strings.length < 2) return null
  const rows = [{ words: 'as drawn', bank: rig.bank }, ...takeOffs(rig.bank)].map(({ words, bank }) => ({
    words,
    shares: sharing(bank, current),
  }))
  return (
    <section className="overflow-x-auto">
      <h3 className="font-semibold">
        How {current} A is shared, {describeBank(rig.bank)}
      </h3>
      <table className="list-table max-w-3xl">
        <thead>
          <tr>
            <th>take-off</th>
            {strings.map((string, i) => (
              <th key={i} className="right">
                {string[0]?.name}
              </th>
            ))}
            <th className="right">hardest / easiest</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ words, shares }) => (
            <tr key={words}>
              <td>{words}</td>
              {strings.map((_, i) => (
                <td key={i} className="figures right">
                  {shares ? `${(shares[i] ?? 0).toFixed(1)} A` : '–'}
                </td>
              ))}
              <td className="figures right">
                {shares && Math.min(...shares) > 0
                  ? (Math.max(...shares) / Math.min(...shares)).toFixed(2)
                  : '–'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-quiet">
        A diagonal take-off or equal leads to busbars load alike batteries alike; unlike ones never share
        evenly.
      </p>
    </section>
  )
}
