import {
  chargesOf,
  claimOf,
  claimValue,
  inputPoints,
  isFigure,
  runDownsOf,
  sweepsOf,
  type Analysis,
} from '@even-watt/core'

/** One end of a station’s path: what it is called, and the most watts that were read there; undefined: not read yet. */
export interface PathEnd {
  readonly name: string
  readonly watts: number | undefined
}

/** A station’s path as far as it was read: charge input, store, outlets and ports. */
export interface StationPath {
  readonly input: PathEnd
  readonly store: {
    readonly label: number | undefined
    readonly given: number | undefined
    readonly roundTrip: number | undefined
  }
  readonly outlet: PathEnd
  readonly ports: readonly PathEnd[]
}

const most = (values: readonly (number | undefined)[]): number | undefined => {
  const known = values.filter((value) => value !== undefined)
  return known.length ? Math.max(...known) : undefined
}

export function stationPath(analysis: Analysis): StationPath {
  const { unit } = analysis.record.revision
  const runs = runDownsOf(analysis)
  const energy = claimOf(unit, 'energy')
  const charges = chargesOf(analysis)
  const sweeps = sweepsOf(analysis.record)
  const names = [
    ...new Set([
      ...unit.claims.flatMap(({ quantity, port }) => (quantity === 'port' && port ? port : [])),
      ...sweeps.map(({ reading }) => reading.port),
    ]),
  ]
  const trips = charges.flatMap(({ roundTrip }) => (isFigure(roundTrip) ? roundTrip.x.value : []))
  return {
    input: {
      name: 'charge input',
      watts: most([
        ...inputPoints(analysis.record).map(({ watts }) => watts),
        ...charges.map(({ most: W }) => W),
      ]),
    },
    store: {
      label: energy && energy.unit !== 'Ah' ? claimValue(energy) : undefined,
      given: most(runs.map(({ delivered }) => (isFigure(delivered) ? delivered.x.value : undefined))),
      roundTrip: trips.at(-1),
    },
    outlet: {
      name: 'outlet',
      watts: most([
        ...runs.map(({ watts }) => watts),
        ...analysis.ladder.steps.map(({ P_C }) => (isFigure(P_C) ? P_C.x.value : undefined)),
      ]),
    },
    ports: names.map((name) => ({
      name,
      watts: most(sweeps.filter(({ reading }) => reading.port === name).map(({ carried }) => carried?.watts)),
    })),
  }
}
