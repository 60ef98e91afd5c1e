import type { Assignable, Quantity, StoredMeter, StoredRig, Value } from '@even-watt/contract'
import { legQuantities } from '@even-watt/contract'
import { quantityData } from '@even-watt/core'
import type { Truth } from '../ladder/operate'
import { instrument, show, type Instrument } from '../meters/instrument'
import type { Random } from '../random'
import type { SeenAs } from '../units/unit'

/** What is restless about a bench: the meters’ last digits, in counts, and its loads, as a share of their watts. */
export interface Unrest {
  readonly counts: number
  /** At most, between the readings of the input and those of the output. */
  readonly drift: number
}

/** The meters of a bench, each with an error of its own, as they are hung up on a rig. */
export class HungMeters {
  private readonly instruments: ReadonlyMap<string, Instrument>

  constructor(
    meters: readonly StoredMeter[],
    private readonly random: Random,
    private readonly unrest: Unrest,
    /** What their errors are drawn from. */
    born: Random = random,
  ) {
    this.instruments = new Map(meters.map((meter) => [meter.id, instrument(meter, born)]))
  }

  /** What the meters of a rig show, one after the other until a moment; `as` says what each is read for, if at all. */
  read(
    truth: Truth,
    rig: StoredRig,
    until: number,
    as: (quantity: Assignable) => Quantity | undefined,
  ): Value[] {
    const drifted = 1 + (this.unrest.drift ? this.unrest.drift * this.random.signed() : 0)
    return rig.assignments.flatMap((assignment, i): Value[] => {
      const quantity = as(assignment.quantity)
      if (!quantity || !isTrue(quantity)) return []
      const at = new Date(until - (rig.assignments.length - i) * 1500).toISOString()
      return [
        {
          quantity,
          value: this.shown(
            assignment.meter,
            quantity,
            truth[quantity] * (quantity === 'P_C' || quantity === 'I_C' ? drifted : 1),
            truth.wave,
          ),
          grade: 'measured',
          meter: assignment.meter,
          at,
        },
      ]
    })
  }

  /** One true value as a meter shows it. */
  shown(meter: string, quantity: Quantity, truth: number, wave: SeenAs): number {
    const hung = this.instruments.get(meter)
    if (!hung) throw new Error(`No such meter on the bench: ${meter}`)
    return show(hung, quantityData[quantity].reads, truth, wave, {
      random: this.random,
      counts: this.unrest.counts,
    })
  }
}

/** What a step of this bench has; it has one leg, and counts nothing. */
const isTrue = (quantity: Quantity): quantity is Quantity & keyof Truth =>
  !['T', 'Q_B', 'E_B', ...(legQuantities as readonly string[]), ...besideTheTaps].includes(quantity)

/** What stands at no tap of an inverter. */
const besideTheTaps = ['E_C', 'P_wall', 'E_wall', 'V_in', 'I_in', 'P_in', 'E_in', 'V_port', 'I_port']
