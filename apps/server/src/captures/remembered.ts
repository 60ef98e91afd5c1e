import { RememberedRecipe } from '@even-watt/contract'
import { safeParse } from 'zod/mini'
import type { Queryable } from '../database/pool'

/** Instruments told of at once. */
const most = 30

/** How the last capture of each instrument was read, the newest first: the next one is likely to be read alike. */
export async function rememberedRecipes(db: Queryable, instrument?: string): Promise<RememberedRecipe[]> {
  const { rows } = await db.query<{ remembered: unknown }>(
    `select jsonb_build_object('instrument', body #> '{reading,instrument}', 'recipe', body #> '{reading,recipe}') as remembered
     from (
       select distinct on (body #>> '{reading,instrument,name}') body, sequence from entry
       where kind = 'capture' and ($1::text is null or body #>> '{reading,instrument,name}' = $1)
       order by body #>> '{reading,instrument,name}', sequence desc
     ) as newest order by sequence desc limit $2`,
    [instrument ?? null, most],
  )
  return rows.flatMap(({ remembered }) => {
    const result = safeParse(RememberedRecipe, remembered)
    return result.success ? [result.data] : []
  })
}
