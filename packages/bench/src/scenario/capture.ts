import type {
  Entry,
  EntryOf,
  OddityNumber,
  Quantity,
  ReadingKind,
  StoredMeter,
  StoredRig,
  StoredUnit,
  Value,
} from '@even-watt/contract'
import { cautionsFor, placed } from '@even-watt/core'
import { operateLegs } from '../ladder/legs'
import { operate, type BenchModel, type Truth } from '../ladder/operate'
import { kindOf, type LoadModel } from '../loads/law'
import { seeded, type Random } from '../random'
import { HungMeters, type Unrest } from './hungMeters'

interface Habits {
  readonly unrest?: Unrest
  /** V that the unit's own display shows too much of its input. */
  readonly displayOff?: number
  /** The seed of another hand whose meters these are: listed alike, they have the same errors. */
  readonly bornOf?: number
}

/** The stand-in bench with its meters hung up: takes readings as a tester would. */
export class BenchHand {
  private readonly random: Random
  private readonly hung: HungMeters
  private readonly displayOff: number
  private clock: number
  private position = 0

  constructor(
    seed: number,
    meters: readonly StoredMeter[],
    startsAt: string,
    { unrest = { counts: 0.2, drift: 0 }, displayOff = 0.1, bornOf }: Habits = {},
  ) {
    this.random = seeded(seed)
    this.hung = new HungMeters(
      meters,
      this.random,
      unrest,
      bornOf === undefined ? this.random : seeded(bornOf),
    )
    this.displayOff = displayOff
    this.clock = Date.parse(startsAt)
  }

  wait(seconds: number): void {
    this.clock += seconds * 1000
  }

  get now(): string {
    return new Date(this.clock).toISOString()
  }

  newId(): string {
    return this.random.id(this.clock)
  }

  /** Nothing connected: idle current on its own meter. */
  noLoad(bench: BenchModel, rig: StoredRig, revision: number): EntryOf<'no load'> {
    this.wait(60)
    const truth = operateOrFail(bench, [])
    const values = this.hung.read(truth, rig, this.clock, (quantity) =>
      quantity === 'idle I'
        ? 'I'
        : ['V_A', 'V_B', 'V_C', 'f', 'THD'].includes(quantity)
          ? (quantity as Quantity)
          : undefined,
    )
    return {
      id: this.newId(),
      revision,
      at: this.now,
      kind: 'no load',
      reading: {
        values,
        mode: 'on',
        display: {
          inputVoltage: Number((truth.V_B + this.displayOff).toFixed(1)),
          outputVoltage: Math.round(truth.V_C),
          frequency: Math.round(truth.f),
        },
      },
    }
  }

  /** One step, read `repeats` times. */
  step(
    bench: BenchModel,
    rig: StoredRig,
    revision: number,
    loads: readonly LoadModel[],
    more: Partial<EntryOf<'ladder'>['reading']> & { celsius?: number; repeats?: number } = {},
  ): EntryOf<'ladder'>[] {
    const { celsius, repeats = 2, ...reading } = more
    const truth = operateOrFail(bench, loads)
    const uses = loads.flatMap(({ use }) => (use ? [use] : []))
    const step = this.newId()
    this.position += 10
    this.wait(120)
    return Array.from({ length: repeats }, () => {
      this.wait(25)
      const values = this.hung.read(truth, rig, this.clock, (quantity) =>
        quantity === 'idle I' || quantity === 'T' ? undefined : quantity,
      )
      const thermometer = rig.assignments.find((assignment) => assignment.quantity === 'T')
      const temperature: Value[] =
        celsius !== undefined && thermometer
          ? [
              {
                quantity: 'T',
                value: this.hung.shown(thermometer.meter, 'T', celsius, truth.wave),
                grade: 'measured',
                meter: thermometer.meter,
                at: this.now,
              },
            ]
          : []
      return {
        id: this.newId(),
        revision,
        at: this.now,
        kind: 'ladder' as const,
        reading: {
          step,
          position: this.position,
          load: loads.map((load) => load.name).join(' + '),
          kind: kindOf(loads),
          ...(uses.length ? { uses } : {}),
          values: [...values, ...temperature],
          fan: truth.fan ? ('on' as const) : ('off' as const),
          alarm: truth.alarm ? ('low voltage' as const) : ('none' as const),
          end: truth.alarm ? ('alarmed' as const) : ('carried' as const),
          held: 120,
          ...reading,
        },
      }
    })
  }

  /** One step of a split phase, each leg with loads of its own. */
  legStep(
    bench: BenchModel,
    rig: StoredRig,
    revision: number,
    [L1, L2]: readonly [readonly LoadModel[], readonly LoadModel[]],
    more: Partial<EntryOf<'ladder'>['reading']> = {},
  ): EntryOf<'ladder'> {
    this.position += 10
    this.wait(240)
    const truth = operateLegs(bench, L1, L2)
    const uses = [...L1, ...L2].flatMap(({ use }) => (use ? [use] : []))
    const names = (loads: readonly LoadModel[]) => loads.map(({ name }) => name).join(' + ') || 'nothing'
    return {
      id: this.newId(),
      revision,
      at: this.now,
      kind: 'ladder',
      reading: {
        step: this.newId(),
        position: this.position,
        load: `L1 ${names(L1)}, L2 ${names(L2)}`,
        kind: kindOf([...L1, ...L2]),
        uses,
        values: rig.assignments.flatMap(({ quantity, meter }): Value[] => {
          const shown = quantity === 'idle I' ? undefined : truth[quantity]
          if (shown === undefined || quantity === 'idle I') return []
          return [
            {
              quantity,
              value: this.hung.shown(meter, quantity, shown, { kind: 'sine' }),
              grade: 'measured',
              meter,
              at: this.now,
            },
          ]
        }),
        fan: truth.fan ? 'on' : 'off',
        alarm: 'none',
        end: 'carried',
        held: 120,
        ...more,
      },
    }
  }

  /** Rest, loaded at 10 s, recovered, at the posts of the bank. */
  loadTest(
    bench: BenchModel,
    revision: number,
    loads: readonly LoadModel[],
    meters: { voltmeter: string; ammeter: string },
  ): EntryOf<'load test'> {
    this.wait(900)
    const loaded = operateOrFail(bench, loads)
    const volts = (truth: number) => this.hung.shown(meters.voltmeter, 'V_A', truth, loaded.wave)
    return {
      id: this.newId(),
      revision,
      at: this.now,
      kind: 'load test',
      reading: {
        ...meters,
        restVoltage: volts(bench.bank.E),
        restCurrent: 0,
        loadedVoltage: volts(loaded.V_A),
        loadedCurrent: this.hung.shown(meters.ammeter, 'I', loaded.I, loaded.wave),
        recoveredVoltage: volts(bench.bank.E - 0.02),
        note: loads.map((load) => load.name).join(' + '),
      },
    }
  }

  /** Millivolts across each element, one after the other, at a steady load. */
  survey(
    bench: BenchModel,
    rig: StoredRig,
    revision: number,
    loads: readonly LoadModel[],
    meters: { voltmeter: string; ammeter: string },
  ): EntryOf<'survey'> {
    this.wait(600)
    const { I, wave } = operateOrFail(bench, loads)
    return {
      id: this.newId(),
      revision,
      at: this.now,
      kind: 'survey',
      reading: {
        ...meters,
        method: 'across',
        current: this.hung.shown(meters.ammeter, 'I', I, wave),
        readings: placed(rig).map(({ element }) => ({
          element: element.id,
          volts: this.hung.shown(meters.voltmeter, 'V_A', (bench.path.get(element.id) ?? 0) * I, wave),
        })),
        note: 'Probes on the metal itself, not on bolts.',
      },
    }
  }

  /** One value on one meter, as it shows it. */
  value(quantity: Quantity, meter: string, truth: number): Value {
    return {
      quantity,
      value: this.hung.shown(meter, quantity, truth, { kind: 'sine' }),
      grade: 'measured',
      meter,
      at: this.now,
    }
  }

  /** A reading of its own kind, at this moment. */
  entry<K extends EntryOf<ReadingKind>['kind']>(
    kind: K,
    revision: number,
    reading: EntryOf<K>['reading'],
  ): EntryOf<K> {
    this.wait(1)
    return { id: this.newId(), revision, at: this.now, kind, reading } as unknown as EntryOf<K>
  }

  takeBack(entry: Entry, why: string): EntryOf<'take back'> {
    this.wait(5)
    return {
      id: this.newId(),
      revision: entry.revision,
      at: this.now,
      kind: 'take back',
      entry: entry.id,
      why,
    }
  }

  keep(entry: Entry, oddity: OddityNumber, why: string): EntryOf<'keep'> {
    this.wait(5)
    return {
      id: this.newId(),
      revision: entry.revision,
      at: this.now,
      kind: 'keep',
      entry: entry.id,
      oddity,
      why,
    }
  }

  /** Cautions as they apply to the unit and rig, read before anything is switched on. */
  makeSafe(unit: StoredUnit, rig: StoredRig, revision: number, by: string): EntryOf<'make safe'> {
    this.wait(120)
    const cautions = cautionsFor({ unit, rig }).map(({ name, because }) => ({ name, because }))
    return { id: this.newId(), revision, at: this.now, kind: 'make safe', reading: { by, cautions } }
  }
}

function operateOrFail(bench: BenchModel, loads: readonly LoadModel[]): Truth {
  const truth = operate(bench, loads)
  if (!truth) throw new Error('The supply cannot deliver this step.')
  return truth
}

/** The same reading with two digits of one value exchanged, as a tired hand types it. */
export function misread(entry: EntryOf<'ladder'>, quantity: Quantity): EntryOf<'ladder'> {
  const values = entry.reading.values.map((value) =>
    value.quantity === quantity
      ? { ...value, value: Number(String(value.value).replace(/^(\d)(\d)/, '$2$1')) }
      : value,
  )
  return { ...entry, reading: { ...entry.reading, values } }
}
