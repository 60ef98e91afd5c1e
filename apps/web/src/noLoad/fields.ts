import type { Assignable, Quantity, Rig } from '@even-watt/contract'

/** One field of what is read without load: a quantity on a meter; without a meter it is kept as the unit's display. */
export interface NoLoadField {
  /** The first of a quantity is named after it alone, so that what is half typed outlasts a second meter. */
  readonly key: string
  readonly quantity: Quantity
  readonly meter: string | undefined
}

const asked: readonly Assignable[] = ['V_A', 'V_B', 'idle I', 'V_C', 'f', 'THD', 'P_C']
const quantityOf = (assignable: Assignable): Quantity => (assignable === 'idle I' ? 'I' : assignable)

/** A field for every meter that the rig hangs up for a quantity; the ladder's ammeter reads idle where no other does. */
export function fieldsOf({ assignments }: Pick<Rig, 'assignments'>): NoLoadField[] {
  const hung = (wanted: Assignable) => assignments.filter(({ quantity }) => quantity === wanted)
  return asked.flatMap((assignable): NoLoadField[] => {
    const quantity = quantityOf(assignable)
    const own = hung(assignable)
    const meters = own.length ? own : assignable === 'idle I' ? hung('I') : []
    if (!meters.length) return quantity === 'P_C' ? [] : [{ key: assignable, quantity, meter: undefined }]
    return meters.map(({ meter }, i) => ({ key: i ? `${assignable} ${meter}` : assignable, quantity, meter }))
  })
}
