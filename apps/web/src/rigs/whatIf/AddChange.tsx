import { RigChange, type StoredRig } from '@even-watt/contract'
import { describeElement, isCable, parseGauge, placed, writing } from '@even-watt/core'
import { useForm, useWatch } from 'react-hook-form'
import { readNumber, SelectField, TextField } from '../../ui/form'
import { contractResolver } from '../../ui/resolver'
import { readLength } from '../../ui/units'

const kinds = [
  ['remake', 'remake a joint'],
  ['cable', 'another cable'],
  ['battery', 'add a battery in parallel'],
  ['support', 'add a charger'],
  ['take-off', 'move the take-off'],
] as const

type Kind = (typeof kinds)[number][0]
type Form = Record<string, string> & { kind: Kind }

/** One more change to try. */
export function AddChange({ rig, onAdd }: { rig: StoredRig; onAdd: (change: RigChange) => void }) {
  const joints = placed(rig).filter(({ element }) => !isCable(element))
  const leads = placed(rig).filter(({ element }) => isCable(element))
  const { register, handleSubmit, control, formState } = useForm<Form, unknown, RigChange>({
    defaultValues: { kind: 'remake' },
    reValidateMode: 'onSubmit',
    resolver: contractResolver(RigChange, (form: Form, report) => {
      const number = (name: string, factor = 1): number => {
        const { value, why } = readNumber(form[name], name === 'length' ? readLength : undefined)
        if (value === undefined || value <= 0) report(name, why ?? 'A number above 0 is needed here.')
        return (value ?? 1) * factor
      }
      switch (form.kind) {
        case 'remake':
          return { kind: form.kind, element: form['joint'] || joints[0]?.element.id }
        case 'cable': {
          const lead = (leads.find(({ element }) => element.id === form['lead']) ?? leads[0])?.element
          const gauge = parseGauge(form['gauge'] ?? '')
          if (!gauge.ok) report('gauge', gauge.why)
          const old = lead && isCable(lead) ? lead.conductors[0] : undefined
          if (!gauge.ok || !lead || !old) return undefined
          const length = form['length']?.trim() ? number('length') : old.length
          return { kind: form.kind, element: lead.id, conductor: { ...old, gauge: gauge.gauge, length } }
        }
        case 'battery':
          return {
            kind: form.kind,
            name: form['name']?.trim() || 'another battery',
            rest: number('rest'),
            resistance: number('resistance', 0.001),
            link: number('link', 0.001),
          }
        case 'support':
          return { kind: form.kind, current: number('current') }
        case 'take-off':
          return {
            kind: form.kind,
            positiveAt: Number(form['positiveAt'] ?? 0),
            negativeAt: Number(form['negativeAt'] ?? 0),
          }
      }
    }),
  })
  const kind = useWatch({ control, name: 'kind' })
  const field = (name: string) => ({ ...register(name), error: formState.errors[name]?.message })
  const add = () => void handleSubmit(onAdd)()
  const strings = rig.bank.strings.map(
    (string, i) => [String(i), `${i + 1}: ${string[0]?.name ?? ''}`] as const,
  )
  const possible = kinds.filter(
    ([one]) => one !== 'take-off' || (strings.length > 1 && rig.bank.join.kind === 'in line'),
  )
  const named = (list: typeof joints) =>
    list.map(({ element }) => [element.id, `${element.name} (${describeElement(element)})`] as const)
  return (
    <div className="no-print grid grid-cols-2 items-end gap-3 md:grid-cols-4 lg:grid-cols-6">
      <SelectField label="Change" {...register('kind')} options={possible} />
      {kind === 'remake' && (
        <SelectField label="Which" {...field('joint')} options={named(joints)} className="md:col-span-2" />
      )}
      {kind === 'cable' && (
        <>
          <SelectField label="Which" {...field('lead')} options={named(leads)} />
          <TextField label="New gauge" {...field('gauge')} placeholder="25 mm² or 2 AWG" />
          <TextField
            label="New length"
            unit={writing().length}
            {...field('length')}
            hint="left empty: as it is"
          />
        </>
      )}
      {kind === 'battery' && (
        <>
          <TextField label="Battery" {...field('name')} placeholder="G12 b" />
          <TextField label="Rest volts" unit="V" {...field('rest')} inputMode="decimal" />
          <TextField label="Its resistance" unit="mΩ" {...field('resistance')} inputMode="decimal" />
          <TextField label="Its link, each side" unit="mΩ" {...field('link')} inputMode="decimal" />
        </>
      )}
      {kind === 'support' && (
        <TextField label="It can give" unit="A" {...field('current')} inputMode="decimal" />
      )}
      {kind === 'take-off' && (
        <>
          <SelectField label="Positive lead on" {...field('positiveAt')} options={strings} />
          <SelectField label="Negative lead on" {...field('negativeAt')} options={strings} />
        </>
      )}
      <button type="button" className="action" onClick={add}>
        Try it
      </button>
    </div>
  )
}
