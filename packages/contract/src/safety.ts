import * as z from 'zod/mini'
import { words } from './shared'

/** Cautions as they were read and acknowledged, by whom; what changed since is asked again. */
export const Acknowledged = z.object({
  by: words('Initials', 20),
  /** Names of the cautions, with what made each apply. */
  cautions: z
    .array(z.object({ name: words('Caution', 60), because: words('Why it applies', 300) }))
    .check(z.minLength(1, 'Cautions: at least one.'), z.maxLength(60, 'Cautions: 60 at most.')),
})
export type Acknowledged = z.infer<typeof Acknowledged>
