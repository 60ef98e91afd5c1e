import { references, type Capture } from '@even-watt/contract'
import { readingsOf } from '@even-watt/core'
import { useTrial } from '../trials/useTrial'
import { SelectField } from '../ui/form'

/** What a capture belongs to, as it is chosen: a reading, a reference, or nothing yet. */
export type BelongsTo = Pick<Capture, 'about' | 'reference'>

const asValue = ({ about, reference }: BelongsTo) =>
  reference ? `reference ${reference}${about === undefined ? '' : ` ${about}`}` : (about ?? '')

/** The reading that a capture most likely belongs to: the last one of the ladder, else of no load. */
export function useLikelyReading(): BelongsTo {
  const { analysis } = useTrial()
  const last = readingsOf(analysis.record, 'ladder').at(-1) ?? readingsOf(analysis.record, 'no load').at(-1)
  return last ? { about: last.id } : {}
}

/** Asks what a capture belongs to: no load, a step, a reference. */
export function Belonging({ value, onChoose }: { value: BelongsTo; onChoose: (to: BelongsTo) => void }) {
  const { analysis } = useTrial()
  const idle = readingsOf(analysis.record, 'no load').at(-1)
  // One attempt stands for all at its machine.
  const machines = readingsOf(analysis.record, 'motors').filter(
    ({ reading }, i, all) => all.findIndex((other) => other.reading.load === reading.load) === i,
  )
  const options = [
    ['', 'nothing yet'] as const,
    ...(idle ? [[idle.id, 'no load'] as const] : []),
    ...analysis.ladder.steps.flatMap(({ step, load }) => {
      const reading = step.readings.find(({ id }) => id === value.about) ?? step.readings.at(-1)
      return reading ? [[reading.id, load] as const] : []
    }),
    ...readingsOf(analysis.record, 'motors').map(
      ({ id, reading: { number, load } }) => [id, `motor start ${number}: ${load}`] as const,
    ),
    ...readingsOf(analysis.record, 'limit').flatMap(({ id, reading }) =>
      reading.test === 'function' ? [] : [[id, `test of limits: ${reading.test}`] as const],
    ),
    ...references.flatMap((reference) => [
      [`reference ${reference}`, `reference: ${reference}`] as const,
      ...machines.map(
        ({ id, reading: { load } }) =>
          [`reference ${reference} ${id}`, `reference: ${load} started on the ${reference}`] as const,
      ),
    ]),
  ]
  return (
    <SelectField
      label="Belongs to"
      value={asValue(value)}
      options={options}
      onChange={({ target: { value: chosen } }) => {
        const reference = references.find((one) => chosen.startsWith(`reference ${one}`))
        const about = reference ? chosen.slice(`reference ${reference} `.length) : chosen
        onChoose({ ...(reference ? { reference } : {}), ...(about ? { about } : {}) })
      }}
    />
  )
}
