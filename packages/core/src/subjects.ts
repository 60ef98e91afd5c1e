import type { ClaimQuantity, ReadingKind } from '@even-watt/contract'
import { attribution } from './attribution/subject'
import { charging } from './charging/subject'
import { captures } from './captures/subject'
import { checklists } from './checklists/subject'
import { endurance } from './endurance/subject'
import { evidence } from './evidence/subject'
import { expectations } from './expectations/subject'
import { files } from './files/subject'
import { ladder } from './ladder/subject'
import { limits } from './limits/subject'
import { logs } from './logs/subject'
import { modes } from './modes/subject'
import { motors } from './motors/subject'
import { noLoad } from './noLoad/subject'
import { outlets } from './outlets/subject'
import { photographs } from './photographs/subject'
import { plan } from './plan/subject'
import { ports } from './ports/subject'
import { rigs } from './rigs/subject'
import { safety } from './safety/subject'
import { schedule } from './schedule/subject'
import type { Subject } from './subject'
import { supply } from './supply/subject'
import type { PartName } from './trials'
import { units } from './units/subject'

/** Every subject, the most basic first: so stand what they notice. A new subject is one line here. */
export const subjects = [
  units,
  evidence,
  logs,
  rigs,
  supply,
  plan,
  schedule,
  safety,
  noLoad,
  ladder,
  attribution,
  captures,
  motors,
  limits,
  outlets,
  endurance,
  ports,
  charging,
  modes,
  files,
  photographs,
  checklists,
  expectations,
] as const satisfies readonly Subject[]

type Brought<Field extends keyof Subject> = (typeof subjects)[number] extends infer S
  ? S extends { readonly [_ in Field]: infer Value }
    ? keyof Value
    : never
  : never

/** Kinds of entry, parts of the analysis and promises that no subject brings. */
type Forgotten =
  | Exclude<ReadingKind, Brought<'kinds'>>
  | Exclude<PartName, Brought<'parts'>>
  | Exclude<ClaimQuantity, Brought<'promises'>>
/**
 * The compiler names here what was forgotten; nothing reads it.
 * @public
 */
export const forgotten: [Forgotten] extends [never] ? 'nothing' : Forgotten = 'nothing'

/** What all subjects bring of one field, under one roof; `forgotten` holds that none is missing. */
export const allOf = <Field extends 'kinds' | 'parts' | 'promises'>(
  field: Field,
): Required<NonNullable<Subject[Field]>> =>
  Object.assign({}, ...subjects.map((subject: Subject) => subject[field])) as Required<
    NonNullable<Subject[Field]>
  >
