import type { Rig } from '@even-watt/contract'
import {
  asFarAsPosts,
  bankNominal,
  elementStates,
  formatNumber,
  isFigure,
  pointAt,
  promisedSupply,
  rippleBoundStepped,
  rmsCurrent,
  say,
  unknownResistances,
  viewSupply,
  weakestLinks,
  type KnownSupply,
  type SupplyQuestion,
  type SurveyFigures,
} from '@even-watt/core'
import { memo, useMemo, useState } from 'react'
import { SizingAdvice } from '../../conductors/SizingAdvice'
import { readNumber, TextField, typed } from '../../ui/form'
import { ElementTable } from './ElementTable'
import { Headroom } from './Headroom'
import { LinkTable } from './LinkTable'
import { Sharing } from './Sharing'

interface Props {
  readonly rig: Rig
  /** A into the unit. */
  readonly current: number
  /** Measured values, where a trial has them. */
  readonly known?: KnownSupply
  readonly survey?: SurveyFigures | undefined
  /** V of one count of the voltmeter, where meters are hung up. */
  readonly count?: number | undefined
  /** The unit's own alarm, cutoff and loss, where it is known. */
  readonly unit?:
    (SupplyQuestion & { readonly words: string; readonly claim: number | undefined }) | undefined
}

const perCell = { alarm: 10.8 / 12, cutoff: 10.4 / 12 }

/** Drops, weakest link, headroom and sharing of a rig at a current. */
export const AtOnce = memo(function AtOnce({ rig, current, known, survey, count, unit }: Props) {
  const nominal = bankNominal(rig.bank)
  const [alarmTyped, setAlarm] = useState(typed(nominal * perCell.alarm))
  const [efficiencyTyped, setEfficiency] = useState('90')
  const alarm = readNumber(alarmTyped)
  const efficiency = readNumber(efficiencyTyped)
  const given = useMemo(() => known ?? promisedSupply(rig), [known, rig])
  const supply = useMemo(() => asFarAsPosts(given), [given])
  const atPosts = supply !== given && isFigure(supply.E) && isFigure(supply.R_bank)
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
            RMS with full ripple of a sine unit, × {formatNumber(rmsCurrent(1, 0.71), 2)}
          </option>
          <option value={rippleBoundStepped(0.7)}>
            RMS of an unfiltered stepped wave, × {formatNumber(rmsCurrent(1, rippleBoundStepped(0.7)), 2)}
          </option>
        </select>
      </label>
      <p className="text-lg">
        {point ? (
          <>
            <Said words="A" value={say(point.V_A, 'V', 4)} />{' '}
            {!atPosts && <Said words="B" value={say(point.V_B, 'V', 4)} />}{' '}
            <Said
              words={atPosts ? 'out of the bank' : 'into the unit'}
              value={say(Math.max(0, point.V_B * point.I), 'W')}
            />{' '}
          </>
        ) : (
          <span className="text-quiet">
            Volts at A and B need the resistance of {unknown.join(', ') || 'a closed bank'}: a short load test
            tells.{' '}
          </span>
        )}
        {!atPosts && <Said words="lost in the path" value={say(lost, 'W')} />}
        {rig.support && point && (
          <Said words={`of it from the ${rig.support.name}`} value={say(point.I_support, 'A')} />
        )}
      </p>
      {atPosts && (
        <p className="text-quiet">
          Nothing is known of the leads: this is as far as the posts, and the terminals see less. Volts read
          at both ends, at one current, tell the rest.
        </p>
      )}
      <div className="grid gap-6 lg:grid-cols-2">
        <ElementTable states={states} current={current} count={count} volts={nominal} />
        <LinkTable rig={rig} links={links} current={current} />
      </div>
      {view && (
        <Headroom
          view={view}
          question={question}
          claim={unit?.claim}
          atPosts={atPosts}
          measured={isFigure(supply.E) && supply.E.grade === 'measured'}
        />
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
