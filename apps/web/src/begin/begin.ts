import type { Meter, Rig, Settings, StoredMeter, StoredRig, Unit, waves } from '@even-watt/contract'
import type { voltsAt } from '@even-watt/core'
import {
  hangUp,
  hangUpAtStation,
  isSameRig,
  meterFromLine,
  outputOn,
  rigFromLine,
  stationRig,
  type RigLine,
} from '@even-watt/core'
import { readNumber } from '../ui/form'

/** What is asked before a trial can begin: text, as it is typed. */
export interface BeginForm {
  readonly mains: string
  readonly currency: string
  readonly units: string
  readonly kind: 'inverter' | 'power station'
  readonly name: string
  readonly volts: string
  /** Of a station, as on its label. */
  readonly Wh: string
  readonly watts: string
  readonly wave: (typeof waves)[number]
  readonly rig: string
  /** A line a meter: the name of one that is there, or a new one in a few words. */
  readonly meters: readonly string[]
  readonly voltsAt: (typeof voltsAt)[number]
  /** A wish or a question; empty: all that such a unit is asked. */
  readonly wanted: string
  readonly by: string
}

export const blankBegin: BeginForm = {
  mains: '',
  currency: 'EUR',
  units: 'metric',
  kind: 'inverter',
  name: '',
  volts: '',
  Wh: '',
  watts: '',
  wave: 'unstated',
  rig: '',
  meters: ['', ''],
  voltsAt: 'the posts',
  wanted: 'an afternoon',
  by: '',
}

/** A meter of the list: one that is on the bench already, or a new one. */
export interface NamedMeter {
  readonly id: string
  readonly meter: Meter
  readonly isNew: boolean
}

/** Everything that a trial begins with, and what is wrong at which field. */
export interface Beginning {
  readonly unit: Unit
  readonly rig: Rig | undefined
  /** Id of one that is on the bench already and described alike: it is used again. */
  readonly sameRig: string | undefined
  readonly rigLine: RigLine
  readonly meters: readonly NamedMeter[]
  readonly faults: Readonly<Record<string, string>>
}

/** Ids that stay the same while the form is typed: a repeated save is then harmless. */
export interface BeginIds {
  readonly part: (place: string) => string
}

/** What was typed, as the parts of a trial. */
export function beginningOf(
  form: BeginForm,
  here: readonly StoredMeter[],
  ids: BeginIds,
  rigs: readonly StoredRig[] = [],
): Beginning {
  const faults: Record<string, string> = {}
  const station = form.kind === 'power station'
  const number = (field: 'volts' | 'watts' | 'Wh', words: string) => {
    const { value, why } = readNumber(form[field])
    if (why !== undefined || value === undefined || value <= 0) faults[field] = why ?? `Enter the ${words}.`
    return value ?? 0
  }
  if (!form.mains) faults['mains'] = 'Choose the mains system of your place.'
  if (!form.currency.trim()) faults['currency'] = 'Enter the currency: EUR, USD, …'
  if (!form.name.trim()) faults['name'] = 'Enter a name.'
  if (!form.by.trim()) faults['by'] = 'Enter your initials.'
  const volts = station ? undefined : number('volts', 'nominal volts')
  const Wh = station ? number('Wh', 'watt-hours on the label') : undefined
  const watts = number('watts', 'watts on the label')
  const rigLine: RigLine = station
    ? {
        rig: stationRig(form.name.trim() || 'Station', Wh || undefined, ids.part('store')),
        understood: [],
        fault: undefined,
      }
    : rigFromLine(form.rig, counted(ids, 'rig'))
  if (rigLine.fault !== undefined) faults['rig'] = rigLine.fault
  const meters = form.meters.flatMap((line, i): NamedMeter[] => {
    if (!line.trim()) return []
    const known = here.find(({ name }) => name === line.trim())
    if (known) return [{ id: known.id, meter: known, isNew: false }]
    const meter = meterFromLine(line, counted(ids, `meter ${i} range`))
    if (meter) return [{ id: ids.part(`meter ${i}`), meter, isNew: true }]
    faults[`meters.${i}`] =
      'What kind of meter? Like "clamp 400 A 2 % + 3", "plug wattmeter", "multimeter 0.5 % + 2".'
    return []
  })
  const settings = { mains: (form.mains || '230 V 50 Hz') as Settings['mains'] }
  const unit: Unit = {
    name: form.name.trim(),
    kind: form.kind,
    ...(volts === undefined ? {} : { inputVoltage: volts }),
    ...outputOn(settings.mains),
    wave: form.wave,
    claims: [
      {
        id: ids.part('claim'),
        quantity: 'continuous power',
        comparator: 'at least',
        value: watts,
        unit: 'W',
        readWhere: 'label',
      },
      ...(Wh
        ? [
            {
              id: ids.part('energy'),
              quantity: 'energy' as const,
              comparator: 'at least' as const,
              value: Wh,
              unit: 'Wh' as const,
              readWhere: 'label',
            },
          ]
        : []),
    ],
  }
  const hung = meters.map(({ id, meter }) => ({ id, ranges: meter.ranges }))
  const assignments = station ? hangUpAtStation(hung) : hangUp(hung, form.voltsAt)
  const rig = rigLine.rig && { ...rigLine.rig, assignments }
  return {
    unit,
    rig,
    sameRig: rig && rigs.find((one) => isSameRig(one, rig))?.id,
    rigLine,
    meters,
    faults,
  }
}

/** An id for each part that is asked for, in the order in which they are asked. */
function counted(ids: BeginIds, what: string): () => string {
  let n = 0
  return () => ids.part(`${what} ${n++}`)
}
