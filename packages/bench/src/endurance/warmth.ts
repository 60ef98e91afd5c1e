/** A mass that warms: K for each W in the end, and how long that takes. */
export interface Mass {
  readonly perWatt: number
  readonly tau: number
}

/** Its temperature over the room after some seconds of watts. */
export const warmed = ({ perWatt, tau }: Mass, over: number, watts: number, seconds: number): number =>
  watts * perWatt + (over - watts * perWatt) * Math.exp(-seconds / tau)

/** A fan that starts at a temperature and stops at a lower one. */
export interface FanModel {
  readonly on: number
  readonly off: number
  /** W that it takes, and the share of the warming that it leaves. */
  readonly watts: number
  readonly leaves: number
}

export const turns = (
  { on, off }: Pick<FanModel, 'on' | 'off'>,
  running: boolean,
  celsius: number,
): boolean => (running ? celsius > off : celsius >= on)
