import { Comparison } from '@even-watt/contract'
import type { Pool } from 'pg'
import { documentRoutes } from '../documents/routes'
import { ProblemError } from '../http/problem'

export const comparisonRoutes = (pool: Pool) =>
  documentRoutes(pool, 'comparison', Comparison, (comparison) => refuseUnknown(pool, comparison))

/** What is laid beside each other is here. */
async function refuseUnknown(pool: Pool, { of }: Comparison): Promise<void> {
  const { rows } = await pool.query<{ trial: string; number: number }>(
    'select trial, number from revision where trial = any($1::uuid[])',
    [of.map(({ trial }) => trial)],
  )
  const here = new Set(rows.map(({ trial, number }) => `${trial} ${number}`))
  const fields = of.flatMap(({ trial, revision }, i) =>
    here.has(`${trial} ${revision}`)
      ? []
      : [
          {
            path: `content.of.${i}`,
            message: `Compared: trial ${i + 1} or its rig ${revision} is not here.`,
          },
        ],
  )
  if (fields.length)
    throw new ProblemError(
      422,
      'Some of what is compared is not here.',
      'Take it out, or choose another.',
      fields,
    )
}
