/** What a run of readings adds up to over time (docs/method/logs.md). Times in s, results in unit·h. */
export interface Integral {
  readonly value: number
  /** Of the absolute values: what a share of each reading adds up to. */
  readonly absolute: number
  /** Standard uncertainty left by what may have happened between readings. */
  readonly open: number
  readonly hours: number
}

const secondsAnHour = 3600

/**
 * Adds readings up one after another by trapezoids over their real times. What each gap leaves open is half the difference
 * between the trapezoid and its two step sums, |x1 − x0|·Δt/4; gaps are taken as independent. Readings without a finite
 * value are passed over; times must not go back.
 */
export class Integrator {
  private sum = 0
  private size = 0
  private squares = 0
  private begun: number | undefined
  private at = 0
  private x = 0

  add(seconds: number, x: number): void {
    if (this.begun === undefined) this.begun = seconds
    else {
      const dt = seconds - this.at
      this.sum += ((this.x + x) / 2) * dt
      this.size += ((Math.abs(this.x) + Math.abs(x)) / 2) * dt
      this.squares += ((x - this.x) * dt) ** 2 / 16
    }
    this.at = seconds
    this.x = x
  }

  get integral(): Integral {
    return {
      value: this.sum / secondsAnHour,
      absolute: this.size / secondsAnHour,
      open: Math.sqrt(this.squares) / secondsAnHour,
      hours: this.begun === undefined ? 0 : (this.at - this.begun) / secondsAnHour,
    }
  }
}

/** A reading in time: s from the beginning of its log, and its value in SI. */
export interface Point {
  readonly at: number
  readonly value: number
}

/** The integral of some points in order of time; of none or one it is 0. */
export function integrate(points: readonly Point[]): Integral {
  const sum = new Integrator()
  for (const { at, value } of points) sum.add(at, value)
  return sum.integral
}

/** What a counter rose by. */
export interface Rise {
  readonly value: number
  /** How often it began again; what it counted between its last reading and that is lost. */
  readonly restarts: number
}

/** Share of its highest by which a counter must fall to have begun again: less is a digit that flickers. */
const beganAgain = 0.02

/**
 * Follows a counter of Wh or Ah that may begin again at 0: what it rose by over all, at least. A first reading is its
 * beginning, wherever it stands.
 */
export class Riser {
  private sum = 0
  private before: number | undefined
  private highest = 0
  restarts = 0

  add(x: number): void {
    if (this.before !== undefined) {
      if (x < this.before - beganAgain * this.highest) {
        this.restarts += 1
        this.sum += Math.max(0, x)
        this.highest = 0
      } else this.sum += x - this.before
    }
    this.highest = Math.max(this.highest, x)
    this.before = x
  }

  get rise(): Rise {
    return { value: this.sum, restarts: this.restarts }
  }
}

/** What some readings of a counter rose by. */
export function riseOf(values: readonly number[]): Rise {
  const riser = new Riser()
  for (const x of values) riser.add(x)
  return riser.rise
}
