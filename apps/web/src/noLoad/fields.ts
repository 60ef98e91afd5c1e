import type { Assignable, Quantity, Rig } from '@even-watt/contract'

/** One field of what is read without load: a quantity on a meter; without a meter it is kept as the unit's display. */
export interface NoLoadField {
  /** The first of a quantity is named after it alone, so that what is half typed outlasts a second meter. */
  readonly key: string
  readonly quantity: Quantity
  readonly meter: string | undefined
}

const asked: readonly Assignable[] = [
  'V_A',
  'I_bank',
  'V_B',
  'idle I',
  'P_B',
  'Q_B',
  'E_B',
  'V_C',
  'f',
  'THD',
  'P_C',
]
/** Asked for only where a meter is hung for them. */
const hungOnly: ReadonlySet<Quantity> = new Set(['P_C', 'I_bank', 'P_B', 'Q_B', 'E_B'])

const quantityOf = (assignable: Assignable): Quantity => (assignable === 'idle I' ? 'I' : assignable)

/** A field for every meter that the rig hangs up for a quantity; the ladder's ammeter reads idle where no other does. */
export function fieldsOf({ assignments }: Pick<Rig, 'assignments'>): NoLoadField[] {
  const hung = (wanted: Assignable) => assignments.filter(({ quantity }) => quantity === wanted)
  return asked.flatMap((assignable): NoLoadField[] => {
    const quantity = quantityOf(assignable)
    const own = hung(assignable)
    const meters = own.length ? own : assignable === 'idle I' ? hung('I') : []
    if (!meters.length) return hungOnly.has(quantity) ? [] : [{ key: assignable, quantity, meter: undefined }]
    return meters.map(({ meter }, i) => ({ key: i ? `${assignable} ${meter}` : assignable, quantity, meter }))
  })
}
