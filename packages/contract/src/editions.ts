import * as z from 'zod/mini'
import { mostFile, Sha256 } from './files'
import { Id, instant, oneOf, text, whole, words } from './shared'

/** What can be published. */
const publishables = ['trial', 'comparison'] as const
export const Publishable = oneOf('What is published', publishables)
export type Publishable = z.infer<typeof Publishable>

const mostStated = 2000

/** One thing that an edition states, by what it is about: the next edition says what of it changed. */
export const Stated = z.object({
  about: words('What is stated', 300),
  says: words('What it says', 2000),
})
export type Stated = z.infer<typeof Stated>

/** A published page, frozen: what it is of, what it states, and the bytes it stands in. */
const NewEditionFields = z.object({
  kind: Publishable,
  of: Id,
  number: whole('Edition', 1, 10_000),
  title: words('Title', 300),
  /** Why it is published anew. */
  why: text('Why it changed', 500),
  /** What made it. */
  madeBy: words('Made by', 60),
  stated: z.array(Stated).check(z.maxLength(mostStated, `Stated: ${mostStated} at most.`)),
  /** Of the page’s content, as the page itself says it; and of its whole file. */
  contentSha256: Sha256,
  sha256: Sha256,
  size: whole('Size', 1, mostFile),
})
export const NewEdition = NewEditionFields.check(
  z.refine(({ number, why }) => number === 1 || Boolean(why?.trim()), {
    error: 'Why it changed: say it in a few words, for those who read the one before.',
    path: ['why'],
  }),
)
export type NewEdition = z.infer<typeof NewEdition>

export const Edition = z.extend(NewEditionFields, { id: Id, madeAt: instant('Published') })
export type Edition = z.infer<typeof Edition>
