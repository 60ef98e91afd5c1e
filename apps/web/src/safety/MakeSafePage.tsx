import {
  authority,
  bankNominal,
  estimatedCapacitance,
  bareInrush,
  precharge,
  prechargeWith,
  ratedPower,
  say,
  shortened,
} from '@even-watt/core'
import { useState } from 'react'
import { StageHead } from '../trials/StageHead'
import { useTrial } from '../trials/useTrial'
import { answer } from '../ui/answers'
import { shortDate, shortTime } from '../ui/dates'
import { readNumber, TextField, typed } from '../ui/form'
import { Notice } from '../ui/Notice'
import { useAcknowledge } from './useAcknowledge'
import { useSafety } from './useSafety'

/** Cautions for this unit, rig and plan, acknowledged with name and time; and the pre-charge. */
export function MakeSafePage() {
  const { trial } = useTrial()
  const { cautions, open, ofEarlierRig, by } = useSafety(useTrial())
  const asking = ofEarlierRig ? cautions : open
  const [name, setName] = useState(trial.by)
  const [asked, setAsked] = useState(false)
  const acknowledge = useAcknowledge()
  const read = () => {
    setAsked(true)
    if (!name.trim()) return
    acknowledge(name.trim(), asking)
    answer('The cautions are acknowledged.')
    setAsked(false)
  }
  const openNames = new Set(open.map((caution) => caution.name))
  return (
    <>
      <StageHead />
      <p className="mb-2 font-semibold">{authority}</p>
      {ofEarlierRig ? (
        <Notice kind="odd" word="Rig changed">
          All were acknowledged on an earlier rig, and the change adds none. Look the new rig over once, then
          say so.
        </Notice>
      ) : open.length === 0 ? (
        <Notice kind="good" word="Acknowledged">
          All cautions were acknowledged as they now stand. A changed rig or plan asks again for what changed.
        </Notice>
      ) : (
        <Notice kind="odd" word={`${open.length} open`}>
          Readings can be entered without this; the report then says that it was skipped.
        </Notice>
      )}
      <ul className="mb-3">
        {cautions.map((caution) => {
          const who = by.get(caution.name)
          const isOpen = openNames.has(caution.name)
          return (
            <li
              key={caution.name}
              className="grid gap-x-5 border-b border-rule py-1.5 md:grid-cols-[11rem_1fr_13rem]"
            >
              <span className={`font-semibold ${isOpen ? 'text-ochre' : ''}`}>
                {isOpen ? '▲ ' : '● '}
                {caution.name}
              </span>
              <span>
                {caution.sentence} <span className="text-quiet">Here: {caution.because}.</span>
              </span>
              <span className="text-quiet">
                {isOpen
                  ? who
                    ? 'changed since it was acknowledged'
                    : 'not acknowledged'
                  : who && `${who.by}, ${shortDate(who.at)} ${shortTime(who.at)}`}
              </span>
            </li>
          )
        })}
      </ul>
      {asking.length > 0 && (
        <div className="no-print flex flex-wrap items-end gap-3">
          <TextField
            label="Your initials"
            value={name}
            maxLength={20}
            onChange={(event) => setName(event.target.value)}
            error={asked && !name.trim() ? 'Say who read them.' : undefined}
          />
          <button type="button" className="action action-main" onClick={read}>
            {ofEarlierRig ? 'They hold on this rig too' : `I have read these ${open.length}`}
          </button>
        </div>
      )}
      <PrechargeHelper />
    </>
  )
}

/** Resistor, time, energy and peak for charging the input capacitors before the breaker is closed. */
function PrechargeHelper() {
  const { analysis } = useTrial()
  const { unit, rig } = analysis.record.revision
  const rated = ratedPower(unit)
  const guess = rated && estimatedCapacitance(rated, bankNominal(rig.bank))
  const [form, setForm] = useState({
    volts: typed(shortened(bankNominal(rig.bank) * 1.03, 3)),
    ohms: '22',
    millifarads: guess === undefined ? '' : typed(shortened(guess * 1000, 2)),
    within: typed(0.5),
    watts: '',
    lamp: '',
  })
  const field = (key: keyof typeof form) => {
    const { value, why } = readNumber(form[key])
    const bad =
      why ?? (value === undefined ? 'A number is needed here.' : value <= 0 ? 'Above 0.' : undefined)
    return {
      props: {
        value: form[key],
        onChange: (event: { target: { value: string } }) => setForm({ ...form, [key]: event.target.value }),
        error: bad,
        inputMode: 'decimal' as const,
      },
      value: bad === undefined ? value : undefined,
    }
  }
  const [volts, ohms, farads, within] = [field('volts'), field('ohms'), field('millifarads'), field('within')]
  const optional = (key: 'watts' | 'lamp') => {
    const { why } = readNumber(form[key])
    return {
      value: form[key],
      onChange: (event: { target: { value: string } }) => setForm({ ...form, [key]: event.target.value }),
      error: why,
      inputMode: 'decimal' as const,
    }
  }
  const positive = (text: string) => {
    const { value } = readNumber(text)
    return value !== undefined && value > 0 ? value : undefined
  }
  const [watts, lamp] = [positive(form.watts), positive(form.lamp)]
  const found =
    volts.value !== undefined &&
    ohms.value !== undefined &&
    farads.value !== undefined &&
    within.value !== undefined
      ? precharge(volts.value, ohms.value, farads.value / 1000, within.value)
      : undefined
  return (
    <section className="mt-6">
      <h2>Pre-charge</h2>
      <p className="text-quiet">
        Unit switched off; then the resistor, then the breaker. Verified by voltmeter, not by timer. A lamp
        rated for the bank’s voltage ({say(bankNominal(rig.bank), 'V')}) does too, until it is dark. A plain
        spark is not advised.
      </p>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Bank" unit="V" {...volts.props} />
        <TextField label="Resistor" unit="Ω" {...ohms.props} />
        <TextField
          label="Input capacitance"
          unit="mF"
          {...farads.props}
          hint={guess === undefined ? '' : 'an estimate from the rating only'}
        />
        <TextField label="To within" unit="V" {...within.props} />
      </div>
      <div className="mt-2 grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Rated" unit="W" {...optional('watts')} hint="the resistor or lamp in your hand" />
        <TextField label="A lamp for" unit="V" {...optional('lamp')} hint="left empty: a resistor" />
      </div>
      {watts !== undefined && volts.value !== undefined && ohms.value !== undefined && (
        <p className="mt-2">
          {prechargeWith(volts.value, ohms.value, {
            is: form.lamp.trim() ? 'lamp' : 'resistor',
            watts,
            volts: lamp,
          })}
        </p>
      )}
      {found && (
        <p className="mt-2">
          Ready after <strong className="figures">{say(found.time, 's')}</strong>; the resistor takes{' '}
          <span className="figures">{say(found.energy, 'J')}</span>;{' '}
          <span className="figures">{say(found.peak, 'W')}</span> and{' '}
          <span className="figures">{say(found.amps, 'A')}</span> at the first moment. With nothing in between
          it would be about {say(bareInrush(volts.value ?? 0), 'A', 2)}.
        </p>
      )}
    </section>
  )
}
