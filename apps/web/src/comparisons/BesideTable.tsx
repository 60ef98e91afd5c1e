import type { Compared } from '@even-watt/core'
import type { CSSProperties, ReactNode } from 'react'
import { Link } from 'react-router'
import { FitTable } from '../ui/FitTable'

interface Props {
  readonly list: readonly Compared[]
  readonly children: ReactNode
}

/** A table with what is compared over its columns, each name leading to its trial; all such tables line up. */
export function BesideTable({ list, children }: Props) {
  return (
    <FitTable
      className="min-w-[calc(8rem+7rem*var(--beside))] table-fixed md:min-w-[calc(15rem+9rem*var(--beside))]"
      style={{ '--beside': list.length } as CSSProperties}
    >
      <thead>
        <tr>
          <td className="w-32 md:w-60" />
          {list.map(({ name, trial, analysis }) => (
            <th key={name} scope="col">
              <Link
                className="hover:underline"
                to={`/trials/${trial.id}/findings?rig=${analysis.record.revision.number}`}
              >
                {name}
              </Link>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </FitTable>
  )
}
