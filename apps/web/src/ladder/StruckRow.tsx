import type { Step } from '@even-watt/core'
import { Struck } from '../trials/Struck'
import { useTrial } from '../trials/useTrial'
import { showValue } from '../ui/readValue'
import { columns } from './columns'

/** A step of which every reading was taken back: it stays in its place, struck through, and can be had back. */
export function StruckRow({ step, own }: { readonly step: Step; readonly own: number }) {
  const { view } = useTrial()
  const last = step.struck.at(-1)
  if (!last) return null
  const why = view.record.struckWhy.get(last.id) ?? ''
  return (
    <tr className="h-[26px] border-b border-rule">
      <td className="text-quiet px-1">–</td>
      <td className="truncate px-1" title={last.reading.load}>
        <s className="opacity-70">{last.reading.load}</s>
      </td>
      {columns.map((column, i) => {
        const value = last.reading.values.find(({ quantity }) => quantity === column.input)
        if (i === columns.length - 1)
          return (
            <td key={column.key} className="relative px-1">
              <span className="bg-ground absolute top-0 right-0 px-2 leading-[24px] whitespace-nowrap">
                <Struck entry={last.id} why={why} what={last.reading.load} />
              </span>
            </td>
          )
        return (
          <td key={column.key} className="figures px-1 text-right">
            {value && <s className="opacity-70">{showValue(value.quantity, value.value, value.decimals)}</s>}
          </td>
        )
      })}
      {own > 0 && <td colSpan={own} />}
    </tr>
  )
}
