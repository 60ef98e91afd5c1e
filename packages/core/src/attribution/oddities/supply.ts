import { plain, sayFigure } from '../../figures'
import type { Notice } from '../../oddities'
import { warming } from '../../rigs'

/** 13: a drop that grows at steady current. */
export const noticeWarming: Notice = ({ analysis }) =>
  warming(analysis.supply.surveys).map(({ element, from, to }) => ({
    number: 13,
    odd: `The drop of ${element.name} grew from ${sayFigure(from)} to ${sayFigure(to)} at steady current.`,
    why: 'A joint that warms up gets worse, and warmer.',
    todo: 'Stop, let it cool, remake it.',
    at: { revision: analysis.record.revision.number, part: 'rig' as const },
  }))

/** 20: batteries compared at equal watts. */
export const noticeEqualWatts: Notice = ({ analysis }) => {
  const tests = analysis.supply.loadTests.filter(({ entry }) => entry.reading.battery !== undefined)
  for (const [i, first] of tests.entries()) {
    for (const second of tests.slice(i + 1)) {
      const [a, b] = [first.entry.reading, second.entry.reading]
      if (a.battery === b.battery) continue
      const [I_a, I_b] = [a.loadedCurrent, b.loadedCurrent]
      // Without an ammeter nobody knows at which currents they were compared.
      if (I_a === undefined || I_b === undefined) continue
      const watts = [a.loadedVoltage * I_a, b.loadedVoltage * I_b]
      const near = Math.abs((watts[0] ?? 0) - (watts[1] ?? 0)) < 0.05 * Math.max(...watts)
      const apart = Math.abs(I_a - I_b) > 0.02 * Math.max(I_a, I_b)
      if (!near || !apart) continue
      return [
        {
          number: 20,
          odd: `${first.what} and ${second.what} were loaded with equal watts, at ${plain(I_a)} A and ${plain(I_b)} A.`,
          why: 'The weaker one sags, so draws more current, so sags more: its sag overstates the difference.',
          todo: 'Compare their resistance at 10 s.',
          at: { revision: analysis.record.revision.number, part: 'rig' },
        },
      ]
    }
  }
  return []
}
