import type { Rig } from '@even-watt/contract'
import { formatNumber, minimumBms, say, type LinkRating } from '@even-watt/core'
import { FitTable } from '../../ui/FitTable'

interface Props {
  readonly rig: Rig
  readonly links: readonly LinkRating[]
  readonly current: number
}

/** Margins of all that carries the current, the tightest first. */
export function LinkTable({ rig, links, current }: Props) {
  return (
    <div className="min-w-0">
      <h3 className="font-semibold">Weakest link at {current} A</h3>
      <FitTable>
        <thead>
          <tr>
            <th>what</th>
            <th className="right">stands</th>
            <th className="right">margin</th>
            <th>may be exceeded</th>
          </tr>
        </thead>
        <tbody>
          {links.map((link) => (
            <tr key={link.id + link.kind}>
              <td title={link.because}>{link.name}</td>
              <td className="figures right">
                {link.continuous === undefined ? '–' : `${formatNumber(link.continuous, 0)} A`}
              </td>
              <td className={`figures right ${(link.margin ?? 1) < 0 ? 'text-madder' : ''}`}>
                {link.margin === undefined ? (
                  <span title={link.because}>–</span>
                ) : (
                  `${link.margin < 0 ? '■ −' : ''}${formatNumber(Math.abs(link.margin * 100), 0)} %`
                )}
              </td>
              <td>{sayTime(link.allowed, link.margin)}</td>
            </tr>
          ))}
        </tbody>
      </FitTable>
      <p className="text-quiet mt-1 text-[0.85rem]">
        Each battery’s own protection must carry at least {say(minimumBms(rig, current), 'A')}.
      </p>
    </div>
  )
}

function sayTime(allowed: number | undefined, margin: number | undefined): string {
  if (margin === undefined || margin >= 0) return ''
  if (allowed === undefined) return 'no curve known'
  if (allowed < 90) return say(allowed, 's', 2)
  return say(allowed / 60, 'min', 2)
}
