import {
  asShunt,
  conductorResistance,
  expanded,
  flexibleStranding,
  parseGauge,
  rectangular,
  say,
  sayFigure,
  typedNumber,
  uncertain,
  writing,
} from '@even-watt/core'
import { useState } from 'react'
import { readNumber, TextField } from '../ui/form'
import { readLength, readTemperature, typedLength, typedTemperature } from '../ui/units'

const strandingSpread = rectangular(0.05 / flexibleStranding)

/** Any known conductor is a shunt: millivolts along it give amps, so a plain voltmeter tells which battery works hardest. */
export function CurrentFromDrop() {
  const [form, setForm] = useState({
    gauge: '16 mm²',
    length: typedLength(1),
    millivolts: '',
    accuracy: typedNumber(0.2),
    ohms: '',
    celsius: typedTemperature(20),
  })
  const gauge = parseGauge(form.gauge)
  const length = readNumber(form.length, readLength)
  const millivolts = readNumber(form.millivolts)
  const accuracy = readNumber(form.accuracy)
  const ohms = readNumber(form.ohms)
  const celsius = readNumber(form.celsius, readTemperature)
  const field = (name: keyof typeof form, why: string | undefined) => ({
    value: form[name],
    onChange: (event: { target: { value: string } }) => setForm({ ...form, [name]: event.target.value }),
    error: why,
  })
  const ready =
    gauge.ok &&
    length.value &&
    length.value > 0 &&
    millivolts.value !== undefined &&
    celsius.value !== undefined
  const current = () => {
    if (!ready || !gauge.ok || !length.value) return undefined
    const computed = conductorResistance(
      {
        gauge: gauge.gauge,
        length: length.value,
        runs: 1,
        material: 'copper',
        strandingFactor: flexibleStranding,
      },
      celsius.value,
    )
    const R = ohms.value !== undefined && ohms.value > 0 ? ohms.value / 1000 : computed
    const V = (millivolts.value ?? 0) / 1000
    const meter = rectangular(((accuracy.value ?? 0) / 100) * Math.abs(V))
    return {
      R,
      x: asShunt(
        uncertain(V, 'spec|voltmeter|mV', meter),
        uncertain(R, 'method|stranding|', strandingSpread * R),
      ),
    }
  }
  const found = current()
  return (
    <section className="mt-6">
      <h2>Amps from the drop along a cable</h2>
      <p className="text-quiet">
        Between two points a known length apart on one conductor, on the metal. Through equal links of a bank
        it tells which battery works hardest.
      </p>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-3 lg:grid-cols-6">
        <TextField label="Gauge, copper" {...field('gauge', gauge.ok ? undefined : gauge.why)} />
        <TextField label="Between the probes" unit="m or ft" {...field('length', length.why)} />
        <TextField
          label="Or its resistance"
          unit="mΩ"
          {...field('ohms', ohms.why)}
          inputMode="decimal"
          hint="a link or shunt: known"
        />
        <TextField label="Drop" unit="mV" {...field('millivolts', millivolts.why)} inputMode="decimal" />
        <TextField label="Voltmeter" unit="± %" {...field('accuracy', accuracy.why)} inputMode="decimal" />
        <TextField
          label="Cable at"
          unit={writing().temperature}
          {...field('celsius', celsius.why)}
          inputMode="decimal"
        />
      </div>
      {found && (
        <p className="mt-2 text-lg">
          <span className="figures font-semibold">{sayFigure({ x: found.x, unit: 'A' })}</span>{' '}
          <span className="text-quiet text-base">
            through {say(found.R * 1000, 'mΩ')}; k = 2
            {expanded(found.x) > 0.2 * Math.abs(found.x.value) && ': coarse, take a longer length'}
          </span>
        </p>
      )}
    </section>
  )
}
