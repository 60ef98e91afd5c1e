import type { Notice } from '../../oddities'

/** A rise over ambient, K, from which the emissivity of bare metal spoils the reading. */
const tellingRise = 15

/** 14: an infrared thermometer on bare metal. */
export const noticeInfrared: Notice = ({ analysis }) => {
  const { meters, rig, number } = analysis.record.revision
  const infrared = new Set(
    meters
      .filter(({ ranges }) =>
        ranges.some(({ reads, response }) => reads === 'temperature' && response === 'infrared'),
      )
      .map(({ id }) => id),
  )
  if (!infrared.size) return []
  const entries = analysis.ladder.recorded.flatMap(({ readings }) => readings)
  const found = entries.find(({ reading }) =>
    reading.values.some(
      ({ quantity, meter, value }) =>
        quantity === 'T' && meter !== undefined && infrared.has(meter) && value > rig.ambient + tellingRise,
    ),
  )
  if (!found) return []
  return [
    {
      number: 14,
      odd: 'A temperature well above ambient was read by infrared.',
      why: 'Bare metal shines with its surroundings and reads far too cool.',
      todo: 'Read matt tape on it, or the insulation beside it, and keep the reading with that as the reason.',
      at: { revision: number, step: found.reading.step, entry: found.id, quantity: 'T' },
    },
  ]
}
