import type { Unit } from '@even-watt/contract'
import { decides, isFigure, type Derived } from '../figures'
import { expanded } from '../meters'
import { oncePer } from '../oncePer'
import { readingsOf, type RevisionRecord } from '../trials'
import { claimedValue } from '../units'

/** The input volts at or under which a unit warns or stops, and how that is known. */
export interface Threshold {
  readonly volts: number
  readonly which: 'alarm' | 'cutoff'
  readonly by: 'seen' | 'label' | 'assumed'
}

/** Share of the nominal input at which a unit is assumed to warn, where neither a test nor its label says. */
const assumedAlarm = 0.95

type Place = Pick<RevisionRecord, 'revision' | 'standing' | 'earlier' | 'doubts'>

/**
 * Where a unit warns or stops: as it was seen to, on this rig or an earlier one; else by its label; else assumed at 0.95 of
 * its nominal input (docs/method/blame.md). Of several the highest: from there on its input is low. Undefined of a power
 * station, which has no terminals.
 */
export const thresholdOf = oncePer((record: Place): Threshold | undefined => {
  const { unit } = record.revision
  return highest(seenIn(record)) ?? highest(onLabel(unit)) ?? assumedFor(unit)
})

/** As the label has it, or else assumed: for what is planned before anything was seen. */
export const alarmVoltage = (record: Place): number | undefined => thresholdOf(record)?.volts

const highest = (all: readonly Threshold[]): Threshold | undefined =>
  all.reduce<Threshold | undefined>((most, one) => (!most || one.volts > most.volts ? one : most), undefined)

const seenIn = (record: Place): Threshold[] =>
  [...record.earlier, record].flatMap((place) =>
    readingsOf(place, 'limit').flatMap(({ id, reading }): Threshold[] =>
      reading.test === 'threshold' && reading.which !== 'reconnect' && !place.doubts.readings.has(id)
        ? [{ volts: reading.V_B, which: reading.which, by: 'seen' }]
        : [],
    ),
  )

const onLabel = (unit: Pick<Unit, 'claims'>): Threshold[] =>
  (['alarm', 'cutoff'] as const).flatMap((which): Threshold[] => {
    const volts = claimedValue(unit, `${which} voltage`)
    return volts === undefined ? [] : [{ volts, which, by: 'label' }]
  })

const assumedFor = ({ inputVoltage }: Pick<Unit, 'inputVoltage'>): Threshold | undefined =>
  inputVoltage === undefined
    ? undefined
    : { volts: assumedAlarm * inputVoltage, which: 'alarm', by: 'assumed' }

/**
 * The threshold that an input stood at or under: V_B − U − half the swing of its ripple, V. Undefined: it stood over it, or
 * its volts were not read by anything that may decide.
 */
export function lowInput(V_B: Derived, record: Place, swing = 0): Threshold | undefined {
  const threshold = thresholdOf(record)
  return threshold && decides(V_B) && V_B.x.value - expanded(V_B.x) - swing <= threshold.volts
    ? threshold
    : undefined
}

/**
 * The threshold that an input stood at or under by a meter too slow for it: what that shows too low was too low, for it shows
 * at least as much as there truly was.
 */
export function lowOnSlowMeter(V_B: Derived, record: Place): Threshold | undefined {
  const threshold = thresholdOf(record)
  return threshold && isFigure(V_B) && V_B.x.value <= threshold.volts + expanded(V_B.x)
    ? threshold
    : undefined
}

/** Whether an input is known to have stood over where the unit warns or stops. */
export const stoodOver = (V_B: Derived, record: Place, swing = 0): boolean =>
  decides(V_B) && thresholdOf(record) !== undefined && !lowInput(V_B, record, swing)
