import { arrangements, bonds, elementKinds, Rig, type ElementKind } from '@even-watt/contract'
import { bankNominal, checkRig, promisedSupply, writing } from '@even-watt/core'
import { lazy, Suspense, useMemo, useRef, useState, type ComponentProps } from 'react'
import { v7 } from 'uuid'
import { safeParse } from 'zod/mini'
import { api } from '../../api/api'
import type { FieldsProps } from '../../ui/DocumentEditor'
import { same, SelectField, TextField } from '../../ui/form'
import { UndoRedo } from '../../ui/UndoRedo'
import { useHistory } from '../../ui/useHistory'
import { LoadSlider } from '../atOnce/LoadSlider'
import { SlidCurrent, useSlidCurrent } from '../atOnce/SlidCurrent'
import { hungMeters } from '../drawing/hung'
import { lossesAt } from '../drawing/losses'
import { RigDrawing } from '../drawing/RigDrawing'
import { Remarks } from '../Remarks'
import { BatteryFields, JoinFields, SupportFields } from './BankFields'
import {
  addElement,
  addString,
  crossOver,
  moveElement,
  newElement,
  removeBattery,
  removeElement,
  type Side,
  type Sides,
} from './edit'
import { ElementFields } from './ElementFields'
import { formToRig, type RigForm } from './form'
import { MeterHanging } from './MeterHanging'
import { TypicalFields } from './TypicalFields'

const AtOnce = lazy(async () => ({ default: (await import('../atOnce/AtOnce')).AtOnce }))

/** A rig is built by drawing it: bank at the left, unit at the right, what is chosen opens below. */
export const RigFields = (props: FieldsProps<RigForm>) => (
  <SlidCurrent>
    <Fields {...props} />
  </SlidCurrent>
)

type Drawn = Omit<ComponentProps<typeof RigDrawing>, 'losses'> & {
  /** As far as it can be read. */
  readonly whole: Rig | undefined
}

function DrawnAtSlid({ whole, ...drawing }: Drawn) {
  const current = useSlidCurrent()
  const losses = useMemo(() => whole && lossesAt(whole, current), [whole, current])
  return <RigDrawing {...drawing} {...(losses ? { losses } : {})} />
}

const SlidAmps = () => useSlidCurrent()

const AtOnceAtSlid = ({ rig }: { rig: Rig }) => <AtOnce rig={rig} current={useSlidCurrent()} />

function Fields({ form, errorAt }: FieldsProps<RigForm>) {
  const values = form.watch()
  const { data: meters = [] } = api.useMetersQuery()
  const [selected, setSelected] = useState<string>()
  const chosen = useRef<HTMLElement>(null)
  const rig = useMemo(() => {
    const read = safeParse(
      Rig,
      formToRig({ ...values, name: values.name || 'New rig' }, () => undefined),
    )
    return read.success ? read.data : undefined
  }, [values])
  const history = useHistory(values, (before) =>
    form.reset(before, { keepDefaultValues: true, keepErrors: true }),
  )
  const promised = useMemo(() => rig && promisedSupply(rig), [rig])
  const remarks = useMemo(() => (rig ? checkRig(rig) : []), [rig])

  const sides = (): Sides => ({ positive: form.getValues('positive'), negative: form.getValues('negative') })
  const put = ({ positive, negative }: Sides) => {
    form.setValue('positive', positive, { shouldDirty: true })
    form.setValue('negative', negative, { shouldDirty: true })
  }
  const spotOf = (id: string | undefined) => {
    for (const side of ['positive', 'negative'] as const) {
      const index = values[side].findIndex((element) => element.id === id)
      if (index >= 0) return { side, index }
    }
    return undefined
  }
  const spot = spotOf(selected)
  const battery = values.bank.strings.flatMap((string, s) =>
    string.flatMap((one, index) => (one.id === selected ? [{ string: s, index }] : [])),
  )[0]
  const add = (kind: ElementKind, side: Side) => {
    const index = spot?.side === side ? spot.index + 1 : values[side].length
    const element = newElement(kind, side, [...values.positive, ...values.negative], v7())
    put(addElement(sides(), { side, index }, element))
    setSelected(element.id)
    // What was just added is asked for its figures, unless the hand was quicker.
    const before = document.activeElement
    requestAnimationFrame(() => {
      if (document.activeElement === before) chosen.current?.querySelector('input')?.focus()
    })
  }
  const dropBattery = (id: string) => {
    const bank = form.getValues('bank')
    bank.strings.forEach((string, s) =>
      string.forEach((one, i) => {
        if (one.id === id) form.setValue('bank', removeBattery(bank, s, i), { shouldDirty: true })
      }),
    )
  }

  return (
    <div className="grid grid-cols-1 gap-4">
      <section className="grid grid-cols-2 gap-3 md:grid-cols-4">
        <TextField label="Name" {...form.register('name')} error={errorAt('name')} className="col-span-2" />
        <TextField
          label="Ambient"
          unit={writing().temperature}
          {...form.register('ambient')}
          error={errorAt('ambient')}
          inputMode="decimal"
        />
        <SelectField
          label="Neutral and earth joined outside the unit"
          {...form.register('bond')}
          error={errorAt('bond')}
          options={[['', 'not said'], ...same(bonds)]}
        />
        <SelectField
          label="It works"
          {...form.register('arrangement')}
          error={errorAt('arrangement')}
          options={[['', 'not said'], ...same(arrangements)]}
        />
        <TextField
          label="Note"
          {...form.register('note')}
          error={errorAt('note')}
          className="col-span-full"
        />
      </section>
      <section aria-label="Drawing of the rig">
        <DrawnAtSlid
          whole={rig}
          rig={values}
          unit="the unit"
          meters={hungMeters(values, meters)}
          marked={new Set(remarks.map(({ at }) => at))}
          selected={selected}
          onSelect={(id) => setSelected(id === selected ? undefined : id)}
          edit={{
            move: (from, to) => put(moveElement(sides(), from, to)),
            cross: (from) => put(crossOver(sides(), from).sides),
            remove: (at) => put(removeElement(sides(), at)),
            removeBattery: dropBattery,
          }}
        />
        {rig && <LoadSlider known={promised} nominal={bankNominal(rig.bank)} />}
        <div className="no-print mt-1 flex flex-wrap items-baseline gap-x-5 gap-y-1">
          {(['positive', 'negative'] as const).map((side) => (
            <span key={side} className="flex flex-wrap items-baseline gap-x-2">
              <span className="text-quiet">Add to the {side}:</span>
              {elementKinds.map((kind) => (
                <button
                  key={kind}
                  type="button"
                  className="plain-link"
                  onClick={() => add(kind, side)}
                  aria-label={`Add a ${kind} to the ${side} side`}
                >
                  {kind}
                </button>
              ))}
            </span>
          ))}
          <button
            type="button"
            className="plain-link"
            onClick={() =>
              form.setValue('bank', addString(form.getValues('bank'), v7), { shouldDirty: true })
            }
          >
            Add a battery in parallel
          </button>
        </div>
        <p className="text-quiet no-print text-[0.85rem] md:hidden">Tap a part to change or remove it.</p>
        <p className="text-quiet no-print text-[0.85rem] max-md:hidden">
          Drag to reorder, or <span className="kbd">Alt</span> with the arrows;{' '}
          <span className="kbd">Enter</span> opens, <span className="kbd">Delete</span> removes.
        </p>
        <UndoRedo {...history} />
        <Remarks remarks={remarks} name={(at) => nameAt(values, at)} />
      </section>
      {(spot ?? battery) && (
        <section ref={chosen} className="border-t border-ink pt-2" aria-label="What is chosen">
          {spot && (
            <ElementFields
              key={`${selected}${spot.side}${spot.index}`}
              form={form}
              errorAt={errorAt}
              spot={spot}
            />
          )}
          {spot && (
            <div className="mt-2 flex flex-wrap gap-4">
              <button
                type="button"
                className="plain-link"
                disabled={spot.index === 0}
                onClick={() => put(moveElement(sides(), spot, { ...spot, index: spot.index - 1 }))}
              >
                Nearer to the bank
              </button>
              <button
                type="button"
                className="plain-link"
                disabled={spot.index === values[spot.side].length - 1}
                onClick={() => put(moveElement(sides(), spot, { ...spot, index: spot.index + 1 }))}
              >
                Nearer to the unit
              </button>
              <button
                type="button"
                className="plain-link"
                onClick={() => {
                  put(removeElement(sides(), spot))
                  setSelected(undefined)
                }}
              >
                Remove it
              </button>
            </div>
          )}
          {battery && <BatteryFields key={selected} form={form} errorAt={errorAt} {...battery} />}
        </section>
      )}
      <section className="grid gap-3 border-t border-rule pt-2">
        <JoinFields key={values.bank.strings.length} form={form} errorAt={errorAt} />
        <SupportFields form={form} errorAt={errorAt} />
        <TypicalFields form={form} errorAt={errorAt} />
      </section>
      <MeterHanging form={form} errorAt={errorAt} />
      <section>
        <h2>
          At <SlidAmps /> A
        </h2>
        {rig ? (
          <Suspense fallback={<p className="text-quiet">Opening …</p>}>
            <AtOnceAtSlid rig={rig} />
          </Suspense>
        ) : (
          <p className="text-quiet">
            Drops, headroom and the weakest link appear as soon as every part has its figures.
          </p>
        )}
      </section>
    </div>
  )
}

const nameAt = (rig: RigForm, at: string): string =>
  [...rig.positive, ...rig.negative, ...rig.bank.strings.flat()].find(({ id }) => id === at)?.name ??
  (at === 'bank' ? 'The bank' : `The ${at} side`)
