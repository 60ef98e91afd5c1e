import {
  deliveredCurve,
  formatNumber,
  plain,
  runDownsOf,
  runsFor,
  say,
  shortened,
  type Compared,
  type OwnNeed,
} from '@even-watt/core'
import { useMemo } from 'react'
import { BesideTable } from '../comparisons/BesideTable'
import type { ReadNeeds } from './form'

interface Props {
  readonly list: readonly Compared[]
  readonly need: OwnNeed
  readonly read: ReadNeeds
}

/** How long each load, and all of them, would run on the banks and stations that were run down here. */
export function Outage({ list, need, read }: Props) {
  const stores = useMemo(
    () =>
      list
        .map((one) => ({ one, curve: deliveredCurve(runDownsOf(one.analysis)) }))
        .filter(({ curve }) => curve.length),
    [list],
  )
  if (!stores.length) return null
  const rows = [
    ...read.lines
      .filter(({ watts, hours }) => watts > 0 && hours > 0)
      .map(({ name, watts }) => [`${name} alone, without a break`, watts] as const),
    ['all of them, on and off as in your day', need.day / 24] as const,
    ...(read.lines.length > 1 ? [['all of them at once', need.peak] as const] : []),
  ]
  return (
    <section className="mt-5">
      <h2>In an outage</h2>
      <p className="text-quiet max-w-4xl">
        By the energy that was measured until each was empty, on the bank it was tested with. A lighter load
        than was tried runs at most so long: the unit’s own draw then eats more of it.
      </p>
      <BesideTable list={stores.map(({ one }) => one)}>
        {rows.map(([words, watts]) => (
          <tr key={words}>
            <th scope="row">
              {words}, {plain(shortened(watts, 3))} W
            </th>
            {stores.map(({ one, curve }) => {
              const runs = runsFor(curve, watts)
              return (
                <td key={one.name} className={'missing' in runs ? 'text-quiet' : 'figures'}>
                  {'missing' in runs
                    ? `– ${runs.missing}`
                    : `${runs.atMost ? 'at most ' : ''}${sayHours(runs.hours)}`}
                </td>
              )
            })}
          </tr>
        ))}
      </BesideTable>
    </section>
  )
}

/** Hours as a person says them; days from two on. */
const sayHours = (hours: number): string =>
  hours >= 48
    ? `${formatNumber(hours / 24, 1)} days`
    : hours >= 1
      ? say(hours, 'h', 2)
      : say(60 * hours, 'min', 2)
