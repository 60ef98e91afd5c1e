import {
  batteriesNeeded,
  besideVoltages,
  everyday,
  sayCableSize,
  say,
  type AtVoltage,
  type OwnNeed,
} from '@even-watt/core'
import { useMemo, type ReactNode } from 'react'
import type { Found } from './found'
import type { ReadNeeds } from './form'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly need: OwnNeed
  readonly read: ReadNeeds
  readonly found: Found
}

/** Share of what a unit takes that reaches the outlet, where none was measured. */
const usualEfficiency = 0.88

/** 12, 24 and 48 V side by side: batteries, amps, cable and what it wastes, fuse, isolator, bus bars. */
export function Voltages({ need, read, found }: Props) {
  const best = useMemo(() => leanest(found), [found])
  const Wh = read.days * (best?.Wh ?? need.day / usualEfficiency)
  const efficiency = best?.atPeak ?? usualEfficiency
  const columns = useMemo(
    () =>
      besideVoltages(need.peak, efficiency, read.length).map((at) => ({
        at,
        batteries: batteriesNeeded(read.battery, { Wh, amps: at.amps, nominal: at.nominal }),
      })),
    [need, efficiency, read, Wh],
  )
  return (
    <section className="mt-3">
      <p className="max-w-4xl">
        {say(Wh, 'Wh')} from the bank for {read.days === 1 ? 'a day' : `${read.days} days`}
        {best
          ? `, as ${best.name} takes them.`
          : `, at ${100 * usualEfficiency} %: no unit’s own figure covers these loads.`}{' '}
        Amps are those of everything at once at nine tenths of nominal volts.
      </p>
      <div className="mt-2">
        <FitTable className="max-w-4xl">
          <thead>
            <tr>
              <td />
              {columns.map(({ at }) => (
                <th key={at.nominal} scope="col">
                  {at.nominal} V
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <Row words="batteries" columns={columns} cell={({ batteries }) => sayBatteries(batteries)} />
            <Row words="amps" columns={columns} cell={({ at }) => say(at.amps, 'A')} />
            <Row words="each lead" columns={columns} cell={({ at }) => sayCable(at)} />
            <Row
              words="wasted in the leads"
              columns={columns}
              cell={({ at: { wasted } }) =>
                wasted === undefined
                  ? '–'
                  : [say(wasted, 'W', 2), everyday(wasted)].filter(Boolean).join(', ')
              }
            />
            <Row
              words="main fuse"
              columns={columns}
              cell={({ at: { mainFuse } }) =>
                mainFuse === undefined ? 'larger than the table' : `${mainFuse} A, close to the bank`
              }
            />
            <Row
              words="isolator"
              columns={columns}
              cell={({ at }) =>
                `breaks ${say(at.breaks, 'V')} DC, carries ${at.mainFuse === undefined ? say(at.design, 'A') : `${at.mainFuse} A`} or more`
              }
            />
            <Row
              words="bus bars of copper"
              columns={columns}
              cell={({ at: { bar } }) => `${Math.ceil(bar / 5) * 5} mm² or more`}
            />
          </tbody>
        </FitTable>
      </div>
    </section>
  )
}

interface Column {
  readonly at: AtVoltage
  readonly batteries: ReturnType<typeof batteriesNeeded>
}

function Row({
  words,
  columns,
  cell,
}: {
  words: string
  columns: readonly Column[]
  cell: (column: Column) => ReactNode
}) {
  return (
    <tr>
      <th scope="row">{words}</th>
      {columns.map((column) => (
        <td key={column.at.nominal}>{cell(column)}</td>
      ))}
    </tr>
  )
}

/** The unit that fits and takes the least, with its Wh a day. */
function leanest(found: Found) {
  const [best] = found
    .flatMap(({ one: { name }, fit: { fromBank, atPeak, verdict } }) =>
      typeof fromBank === 'number' && verdict !== 'does not fit'
        ? [{ name, Wh: fromBank, atPeak, fits: verdict === 'fits' }]
        : [],
    )
    .sort((a, b) => Number(b.fits) - Number(a.fits) || a.Wh - b.Wh)
  return best
}

function sayBatteries(found: Column['batteries']): string {
  if (!found) return '– this battery does not add up to it'
  const { series, strings, total, byEnergy, byCurrent } = found
  const how = series > 1 ? `${total}: ${strings} × ${series} in series` : `${total} side by side`
  return byCurrent !== undefined && byCurrent > byEnergy
    ? `${how}, for the amps; ${byEnergy * series} would hold the energy`
    : how
}

const sayCable = ({ cable }: AtVoltage): string =>
  cable
    ? `${sayCableSize(cable.gauge)}, ${say(100 * cable.dropShare, '%', 2)} lost`
    : '– none of the table is enough'
