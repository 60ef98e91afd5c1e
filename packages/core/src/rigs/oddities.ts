import { otherCurrent } from '../evidence'
import type { Notice, Oddity } from '../oddities'
import { isStation } from '../units'
import { hasFuse, placed } from './elements'

/** 26: no fuse in the rig. */
export const noticeNoFuse: Notice = ({ analysis }) =>
  hasFuse(analysis.record.revision.rig) || isStation(analysis.record.revision.unit)
    ? []
    : [
        {
          number: 26,
          odd: 'There is no fuse in this rig.',
          why: 'A battery gives thousands of amps into a short; cables burn before anyone acts.',
          todo: 'Fit a fuse close to the post, rated for the bank’s voltage and breaking capacity.',
          at: { revision: analysis.record.revision.number, part: 'rig' },
        },
      ]

/** 7: a meter on a conductor where other current flows too. */
export const noticeOtherCurrent: Notice = ({ analysis }) => {
  const { rig, meters, number } = analysis.record.revision
  const name = (id: string) => meters.find((meter) => meter.id === id)?.name ?? 'The ammeter'
  const onPath = (id: string | undefined) =>
    id === undefined || placed(rig).some(({ element }) => element.id === id)
  return rig.assignments.flatMap(({ quantity, meter, on }): Oddity[] => {
    const at = { revision: number, part: 'rig' as const }
    if (quantity === 'I' || quantity === 'idle I') {
      const why = otherCurrent(rig, on)
      if (why === undefined) return []
      return [
        {
          number: 7,
          odd: `${name(meter)} reads the unit’s current on a battery’s own cable.`,
          why,
          todo: 'Put it where only the unit’s current flows, or call its quantity I_bank.',
          at,
        },
      ]
    }
    if (quantity === 'I_bank' && rig.support && onPath(on)) {
      return [
        {
          number: 7,
          odd: `${name(meter)} reads bank current on the unit’s lead.`,
          why: 'The support source feeds the posts: what flows in the lead is bank and support together.',
          todo: 'Put it on the battery’s own cable, or call its quantity I.',
          at,
        },
      ]
    }
    return []
  })
}
