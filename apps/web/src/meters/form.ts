import type { Meter } from '@even-watt/contract'
import { readNumber, typed } from '../ui/form'
import type { Report } from '../ui/resolver'

export interface RangeForm {
  id: string
  reads: string
  upTo: string
  percent: string
  counts: string
  count: string
  response: string
  bandwidth: string
  standsSteppedWave: boolean
}

export interface MeterForm {
  name: string
  updateRate: string
  needsZeroing: boolean
  typical: boolean
  adjusted: string
  note: string
  ranges: RangeForm[]
}

export const blankMeter: MeterForm = {
  name: '',
  updateRate: '',
  needsZeroing: false,
  typical: false,
  adjusted: '',
  note: '',
  ranges: [],
}

export const meterToForm = (meter: Meter): MeterForm => ({
  name: meter.name,
  updateRate: typed(meter.updateRate),
  needsZeroing: meter.needsZeroing,
  typical: meter.typical ?? false,
  adjusted: meter.adjusted ?? '',
  note: meter.note ?? '',
  ranges: meter.ranges.map((range) => ({
    id: range.id,
    reads: range.reads,
    upTo: typed(range.upTo),
    percent: typed(range.percent),
    counts: typed(range.counts),
    count: typed(range.count),
    response: range.response ?? '',
    bandwidth: typed(range.bandwidth),
    standsSteppedWave: range.standsSteppedWave,
  })),
})

export function formToMeter(form: MeterForm, report: Report): unknown {
  const number = (path: string, text: string) => {
    const { value, why } = readNumber(text)
    report(path, why)
    return value
  }
  return {
    name: form.name,
    updateRate: number('updateRate', form.updateRate),
    needsZeroing: form.needsZeroing,
    ...(form.typical ? { typical: true } : {}),
    adjusted: form.adjusted.trim() || undefined,
    note: form.note.trim() || undefined,
    ranges: form.ranges.map((range, i) => ({
      ...range,
      upTo: number(`ranges.${i}.upTo`, range.upTo),
      percent: number(`ranges.${i}.percent`, range.percent),
      counts: number(`ranges.${i}.counts`, range.counts),
      count: number(`ranges.${i}.count`, range.count),
      response: range.response || undefined,
      bandwidth: number(`ranges.${i}.bandwidth`, range.bandwidth),
    })),
  }
}
