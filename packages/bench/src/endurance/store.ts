/** Open-circuit volts of one lithium iron phosphate cell against its charge, from 0 to 1, evenly spaced. */
const lithium = [
  2.5, 3.0, 3.13, 3.2, 3.22, 3.25, 3.26, 3.27, 3.275, 3.285, 3.29, 3.295, 3.3, 3.31, 3.325, 3.33, 3.332,
  3.335, 3.34, 3.36, 3.45,
]
/** The same of a lead-acid cell. */
const lead = [
  1.75, 1.86, 1.91, 1.94, 1.96, 1.975, 1.99, 2.0, 2.012, 2.023, 2.034, 2.045, 2.055, 2.065, 2.075, 2.085,
  2.095, 2.105, 2.114, 2.122, 2.13,
]

const curves = { lithium, lead } as const

/** Cells in series behind one resistance and one pair of resistance and capacitance. */
export interface StoreModel {
  readonly kind: keyof typeof curves
  readonly cells: number
  /** Ah of a sound cell; the weak one has a share of it. */
  readonly capacity: number
  readonly weak: number
  /** Ω at once, and Ω that comes after some time, s. */
  readonly R0: number
  readonly R1: number
  readonly tau: number
  /** V a cell at which its BMS cuts off; the weakest cell decides. */
  readonly cutoff: number
  /** A that its BMS carries. */
  readonly limit: number
}

export interface StoreState {
  /** Ah that were taken out of it. */
  readonly drawn: number
  /** V over the pair of resistance and capacitance. */
  readonly slow: number
  readonly cut: boolean
}

export const fullStore: StoreState = { drawn: 0, slow: 0, cut: false }

const secondsAnHour = 3600

/** Volts of an open cell of which a share is left. */
function openCell(kind: StoreModel['kind'], share: number): number {
  const curve = curves[kind]
  const place = Math.min(1, Math.max(0, share)) * (curve.length - 1)
  const i = Math.min(curve.length - 2, Math.floor(place))
  const [a = 0, b = 0] = [curve[i], curve[i + 1]]
  return a + (b - a) * (place - i)
}

/** Open volts of the whole store, and of its weakest cell. */
export function openVolts(model: StoreModel, { drawn }: Pick<StoreState, 'drawn'>) {
  const sound = openCell(model.kind, 1 - drawn / model.capacity)
  const weakest = openCell(model.kind, 1 - drawn / (model.capacity * model.weak))
  return { whole: sound * (model.cells - 1) + weakest, weakest }
}

export interface StoreStep {
  readonly state: StoreState
  readonly volts: number
  /** W that the store itself turns to heat, and W that its cells gave. */
  readonly heat: number
  readonly given: number
}

/** One step of some seconds at a current, A (negative: it is being charged). */
export function stepStore(model: StoreModel, state: StoreState, amps: number, seconds: number): StoreStep {
  const I = state.cut ? 0 : amps
  const open = openVolts(model, state)
  const decay = Math.exp(-seconds / model.tau)
  const slow = I * model.R1 + (state.slow - I * model.R1) * decay
  // Over the step the pair stands at its mean.
  const middle = I * model.R1 + (state.slow - I * model.R1) * (model.tau / seconds) * (1 - decay)
  const volts = open.whole - I * model.R0 - middle
  const cell = open.weakest - (I * model.R0 + middle) / model.cells
  const drawn = Math.max(0, state.drawn + (I * seconds) / secondsAnHour)
  return {
    state: { drawn, slow, cut: state.cut || (I > 0 && (cell <= model.cutoff || I > model.limit)) },
    volts,
    heat: I * (I * model.R0 + middle),
    given: I * open.whole,
  }
}

/** A that draw some watts from it, or undefined where it cannot give them. */
export function ampsFor(model: StoreModel, state: StoreState, watts: number): number | undefined {
  const E = openVolts(model, state).whole - state.slow
  const root = E ** 2 - 4 * model.R0 * watts
  return root < 0 || state.cut ? undefined : (E - Math.sqrt(root)) / (2 * model.R0)
}
