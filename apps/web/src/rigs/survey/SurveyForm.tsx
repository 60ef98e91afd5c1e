import { Survey } from '@even-watt/contract'
import { placed } from '@even-watt/core'
import { dcMeters } from '../../meters/dcMeters'
import { CaptureForm } from '../../trials/CaptureForm'
import { useCaptureForm } from '../../trials/useCaptureForm'
import { useTrial } from '../../trials/useTrial'
import { SelectField, TextField } from '../../ui/form'
import { Notice } from '../../ui/Notice'

/** Volts across each element, or at points along the path, at one steady current. */
export function SurveyForm() {
  const { analysis } = useTrial()
  const { rig, meters } = analysis.record.revision
  const { voltmeters, ammeters, wattmeters, ammeterless, usual } = dcMeters(rig, meters)
  const elements = placed(rig)
  const state = useCaptureForm({
    what: 'survey',
    start: {
      method: 'across',
      voltmeter: usual.voltmeter,
      ammeter: usual.ammeter,
      wattmeter: usual.wattmeter,
    },
    schema: Survey,
    read: ({ number, text }) => {
      const across = text('method') !== 'points'
      const positive = number('post positive')
      const negative = number('post negative')
      return {
        current: ammeterless ? undefined : number('current'),
        power: ammeterless ? number('power') : undefined,
        ammeter: ammeterless ? undefined : text('ammeter'),
        wattmeter: ammeterless ? text('wattmeter') : undefined,
        voltmeter: text('voltmeter'),
        method: across ? 'across' : 'points',
        posts: across ? undefined : { positive, negative },
        readings: elements.flatMap(({ element }) => {
          const value = number(element.id)
          return value === undefined ? [] : [{ element: element.id, volts: across ? value / 1000 : value }]
        }),
        note: text('note'),
      }
    },
    entry: (reading) => ({ kind: 'survey', reading }),
  })
  const { form, field, errorAt } = state
  const across = form.watch('method') !== 'points'
  if (!elements.length)
    return <p>This rig has no element between posts and terminals: draw its path first.</p>
  return (
    <CaptureForm title="Add a survey" state={state}>
      <div className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <SelectField
          label="How"
          {...field('method')}
          options={[
            ['across', 'mV across each element'],
            ['points', 'V at points, against one reference'],
          ]}
        />
        <SelectField label="Volts read on" {...field('voltmeter')} options={voltmeters} />
        {ammeterless ? (
          <>
            <TextField
              label="Steady, at the outlet"
              unit="W"
              hint="no ammeter: the current is bounded by it"
              {...field('power')}
              error={field('power').error ?? errorAt('current')}
              inputMode="decimal"
            />
            <SelectField label="Watts read on" {...field('wattmeter')} options={wattmeters} />
          </>
        ) : (
          <>
            <TextField label="Steady current" unit="A" {...field('current')} inputMode="decimal" />
            <SelectField label="Amps read on" {...field('ammeter')} options={ammeters} />
          </>
        )}
        {!across && (
          <>
            <TextField
              label="At the positive post"
              unit="V"
              {...field('post positive')}
              inputMode="decimal"
            />
            <TextField
              label="At the negative post"
              unit="V"
              {...field('post negative')}
              inputMode="decimal"
            />
          </>
        )}
        {elements.map(({ side, element }) => (
          <TextField
            key={element.id}
            label={`${side === 'positive' ? '+' : '−'} ${across ? '' : 'after the '}${element.name}`}
            unit={across ? 'mV' : 'V'}
            {...field(element.id)}
            inputMode="decimal"
          />
        ))}
        <TextField label="Note" {...field('note')} className="col-span-full" />
      </div>
      {errorAt('readings') && <Notice kind="problem">{errorAt('readings')}</Notice>}
    </CaptureForm>
  )
}
