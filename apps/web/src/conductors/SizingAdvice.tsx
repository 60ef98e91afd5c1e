import { materials, type Conductor } from '@even-watt/contract'
import {
  flexibleStranding,
  formatGauge,
  formatNumber,
  plain,
  say,
  sayTemperature,
  sizeCable,
  writing,
  type CableChoice,
  type Sizing,
  type SizingQuestion,
  type Parsed,
} from '@even-watt/core'
import { memo, useState, type ReactNode } from 'react'
import { readNumber, same, SelectField, TextField, typed } from '../ui/form'
import { readLength, readTemperature, typedLength, typedTemperature } from '../ui/units'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly power: number
  readonly efficiency: number
  readonly nominal: number
  readonly lowest: number
  readonly ambient: number
  /** Only the sizes next to the smallest that fit. */
  readonly brief?: boolean
  /** What can be done with a choice, for one that is offered. */
  readonly action?: (choice: CableChoice, conductor: Conductor) => ReactNode
}

type Fields = Record<
  | 'power'
  | 'efficiency'
  | 'nominal'
  | 'lowest'
  | 'ambient'
  | 'length'
  | 'insulation'
  | 'ripple'
  | 'bundling'
  | 'drop',
  string
>

/** What is typed in units that the bench chose. */
const readers: Partial<Record<keyof Fields, (text: string) => Parsed>> = {
  length: readLength,
  insulation: readTemperature,
  ambient: readTemperature,
}

const limits: Record<keyof Fields, readonly [low: number, high: number, accepted: string]> = {
  power: [1, 1e6, 'watts above 0'],
  efficiency: [10, 100, '10 to 100 %'],
  nominal: [1, 1000, '1 to 1000 V'],
  lowest: [1, 1000, '1 to 1000 V'],
  ambient: [-40, 80, '−40 to 80 °C'],
  length: [0.05, 100, '0.05 to 100 m'],
  insulation: [40, 300, '40 to 300 °C'],
  ripple: [0, 1, '0 to 1'],
  bundling: [0.3, 1, '0.3 to 1'],
  drop: [0.1, 20, '0.1 to 20 %'],
}

/** Cable and fuse for a unit, both schools of voltage and with or without ripple (docs/method/conductors.md). */
export const SizingAdvice = memo(function SizingAdvice({
  power,
  efficiency,
  nominal,
  lowest,
  ambient,
  brief = false,
  action,
}: Props) {
  const [fields, setFields] = useState<Fields>({
    power: typed(Math.round(power)),
    efficiency: typed(efficiency * 100),
    nominal: typed(nominal),
    lowest: typed(lowest),
    ambient: typedTemperature(ambient),
    length: typedLength(1.2),
    insulation: typedTemperature(105),
    ripple: '0',
    bundling: '1',
    drop: '3',
  })
  const [at, setAt] = useState<'lowest' | 'nominal'>('lowest')
  const [material, setMaterial] = useState<Conductor['material']>('copper')
  const read = (key: keyof Fields): { value: number; why: string | undefined } => {
    const { value, why } = readNumber(fields[key], readers[key])
    const [low, high, accepted] = limits[key]
    if (why !== undefined || value === undefined)
      return { value: NaN, why: why ?? `A number is needed: ${accepted}.` }
    return value < low || value > high
      ? { value: NaN, why: `Accepted: ${accepted}.` }
      : { value, why: undefined }
  }
  const values = Object.fromEntries(
    (Object.keys(fields) as (keyof Fields)[]).map((key) => [key, read(key)]),
  ) as Record<keyof Fields, ReturnType<typeof read>>
  const complete = Object.values(values).every(({ why }) => why === undefined)
  const question: SizingQuestion = {
    power: values.power.value,
    efficiency: values.efficiency.value / 100,
    nominal: values.nominal.value,
    lowest: values.lowest.value,
    at,
    ripple: values.ripple.value,
    length: values.length.value,
    material,
    strandingFactor: flexibleStranding,
    insulation: values.insulation.value,
    ambient: values.ambient.value,
    bundling: values.bundling.value,
    dropLimit: values.drop.value / 100,
  }
  const sizing = complete ? sizeCable(question) : undefined
  const field = (key: keyof Fields, label: string, unit?: string, hint?: string) => (
    <TextField
      label={label}
      unit={unit}
      hint={hint}
      value={fields[key]}
      onChange={(event) => setFields({ ...fields, [key]: event.target.value })}
      error={values[key].why}
      inputMode="decimal"
    />
  )
  return (
    <section>
      <h3 className="font-semibold">Cable and fuse</h3>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4 lg:grid-cols-6">
        {field('power', 'Output', 'W')}
        {field('efficiency', 'Efficiency', '%')}
        {field('nominal', 'Nominal', 'V')}
        {field('lowest', 'Lowest input', 'V', 'the alarm')}
        <SelectField
          label="Size for"
          value={at}
          onChange={(event) => setAt(event.target.value === 'nominal' ? 'nominal' : 'lowest')}
          options={[
            ['lowest', 'at the lowest input'],
            ['nominal', 'at nominal'],
          ]}
        />
        {field('ripple', 'Ripple I_r/Ī', undefined, `0: mean current; ${plain(0.71)}: full`)}
        {field('length', 'Length, one way', writing().length)}
        {field('insulation', 'Insulation', writing().temperature)}
        {field('ambient', 'Ambient', writing().temperature)}
        {field('bundling', 'Bundling factor')}
        {field('drop', 'Loop drop at most', '% of nominal')}
        <SelectField
          label="Material"
          value={material}
          onChange={(event) => setMaterial(materials.find((one) => one === event.target.value) ?? 'copper')}
          options={same(materials)}
        />
      </div>
      {sizing && (
        <>
          <p className="mt-2">
            {say(sizing.current, 'A')} mean at {at === 'lowest' ? 'the lowest input' : 'nominal'}
            {values.ripple.value > 0 && `, ${say(sizing.rms, 'A')} RMS with ripple`}; × {plain(1.25)} is{' '}
            {say(sizing.design, 'A')}.{' '}
            {sizing.fuse === undefined ? (
              <span className="text-madder">
                No standard fuse reaches it: split the supply or raise its voltage.
              </span>
            ) : (
              <>
                Fuse <strong>{sizing.fuse} A</strong>.
              </>
            )}
          </p>
          <FitTable className="max-w-3xl">
            <thead>
              <tr>
                <th>conductor</th>
                <th className="right">carries</th>
                <th className="right">loop drop, warm</th>
                <th className="right">fuse</th>
                <th>verdict</th>
                {action && <th />}
              </tr>
            </thead>
            <tbody>
              {(brief ? around(sizing) : sizing.choices).map((choice) => {
                const gauge = formatGauge(choice.gauge)
                const smallest = choice === sizing.smallest.metric || choice === sizing.smallest.american
                return (
                  <tr key={gauge} className={smallest ? 'font-semibold' : choice.fits ? '' : 'text-quiet'}>
                    <td>{gauge}</td>
                    <td className="figures right">{formatNumber(choice.ampacity, 0)} A</td>
                    <td className="figures right">
                      {formatNumber(choice.drop, 2)} V, {formatNumber(choice.dropShare * 100, 1)} %
                    </td>
                    <td className="figures right">
                      {choice.fuses.length ? `${choice.fuses.join(', ')} A` : 'none: thicker, or less load'}
                    </td>
                    <td>{verdict(choice, sizing.design, values.drop.value / 100, smallest)}</td>
                    {action && (
                      <td>
                        {choice.fits &&
                          action(choice, {
                            gauge: choice.gauge,
                            length: values.length.value,
                            runs: 1,
                            material,
                            strandingFactor: flexibleStranding,
                          })}
                      </td>
                    )}
                  </tr>
                )
              })}
            </tbody>
          </FitTable>
          <p className="text-quiet">
            A starting table for single conductors in free air, terminals at {sayTemperature(75)}. The local
            code and a licensed electrician decide.
          </p>
        </>
      )}
    </section>
  )
})

/** One size under the smallest that fits and one over it, of each table. */
function around({ choices, smallest }: Sizing): readonly CableChoice[] {
  return [smallest.metric, smallest.american].flatMap((choice) => {
    const at = choice ? choices.indexOf(choice) : -1
    return at < 0 ? [] : choices.slice(Math.max(0, at - 1), at + 2)
  })
}

function verdict(choice: CableChoice, design: number, limit: number, smallest: boolean): string {
  if (smallest) return '● the smallest that fits'
  if (choice.fits) return 'fits'
  if (choice.ampacity < design) return 'too thin to carry it'
  if (choice.dropShare > limit) return 'drops too much'
  return 'no fuse between current and ampacity'
}
