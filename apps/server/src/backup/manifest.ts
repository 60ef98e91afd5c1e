import * as z from 'zod/mini'

/** What a backup calls itself; 1 was a dump of the database, which could bring programs along. */
export const format = 'even-watt-backup'
export const version = 2

export const manifestName = 'manifest.json'
export const rowsName = (table: string) => `tables/${table}.jsonl`
export const fileName = (sha256: string) => `files/${sha256}`

/** The sheet that goes with a backup. What a stranger wrote in it is believed of nothing: all of it is checked again. */
export const Manifest = z.object({
  format: z.literal(format),
  version: z.literal(version),
  madeAt: z.string().check(z.maxLength(40)),
  /** The newest migration of the database that it was made of. */
  schema: z.string().check(z.maxLength(100)),
  tables: z
    .array(
      z.object({
        name: z.string().check(z.maxLength(100)),
        rows: z.int().check(z.gte(0)),
        sha256: z.string().check(z.regex(/^[0-9a-f]{64}$/)),
      }),
    )
    .check(z.maxLength(100)),
})
export type Manifest = z.infer<typeof Manifest>
