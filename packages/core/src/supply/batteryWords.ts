import type { Battery, Chemistry } from '@even-watt/contract'
import { isFigure, say, type Figure } from '../figures'
import type { LoadTestFigures } from './loadTest'
import { bankChargeAtRest, chargeAtRest, isTooLowToBegin, type RestCharge } from './restCharge'

/** Ω·Ah of a sound battery of 12 V at 10 s, roughly, its own protection included (docs/method/supply.md). */
const soundOhms: Readonly<Record<Exclude<Chemistry, 'not known'>, number>> = {
  'lithium iron phosphate': 0.45,
  'other lithium': 0.5,
  AGM: 0.5,
  gel: 0.65,
  'flooded lead-acid': 0.75,
}
/** Times the sound resistance from which a battery is aged, and worn. */
const aged = 1.6
const worn = 2.5

export type Health = 'sound' | 'aged' | 'worn'

/** How a battery stands by its resistance at 10 s against what its kind and size usually have; undefined: neither is known. */
export function healthOf(
  { chemistry, capacity, nominal, resistance }: Battery,
  R_10: number,
): { readonly health: Health; readonly times: number; readonly against: 'its own' | 'usual' } | undefined {
  const usual =
    resistance ??
    (chemistry === 'not known' || capacity === undefined
      ? undefined
      : (soundOhms[chemistry] * nominal) / 12 / capacity)
  if (usual === undefined || !(usual > 0)) return undefined
  const times = R_10 / usual
  return {
    health: times >= worn ? 'worn' : times >= aged ? 'aged' : 'sound',
    times,
    against: resistance === undefined ? 'usual' : 'its own',
  }
}

const healthWords: Readonly<Record<Health, string>> = {
  sound: 'it is sound',
  aged: 'it has aged, or a joint at it is poor',
  worn: 'it is worn, or a joint at it is bad',
}

/** A load test in sentences: how far it was charged, its sag, how it came back, and its health. */
export function loadTestWords(test: LoadTestFigures): string[] {
  const { entry, bank, what, R_10, sag } = test
  const { restVoltage, recoveredVoltage, battery: id } = entry.reading
  const battery = bank.strings.flat().find((one) => one.id === id)
  const charge = battery
    ? chargeAtRest(battery.chemistry, battery.nominal, restVoltage)
    : bankChargeAtRest(bank, restVoltage)
  const health = battery && isFigure(R_10) ? healthOf(battery, R_10.x.value) : undefined
  return [
    ...(charge ? chargeWords(what, restVoltage, charge) : []),
    ...(isFigure(sag)
      ? [
          `It sags by ${say(sag.x.value, 'V', 2)} (${say((100 * sag.x.value) / restVoltage, '%', 2)})${
            recoveredVoltage === undefined
              ? ''
              : ` and comes back to ${say(recoveredVoltage, 'V', 4)}, ${say(Math.abs(restVoltage - recoveredVoltage), 'V', 2)} ${recoveredVoltage < restVoltage ? 'lower' : 'higher'} than at rest`
          }.`,
        ]
      : []),
    ...(health
      ? [
          `Its resistance is ${say(health.times, '', 2)} times ${health.against === 'usual' ? 'what is usual for its kind and size' : 'what was stated of it'}: ${healthWords[health.health]}.`,
        ]
      : []),
  ]
}

const share = (x: number) => say(100 * x, '%', 2)

function chargeWords(what: string, volts: number, charge: RestCharge): string[] {
  return [
    `${what}: ${say(volts, 'V', 4)} at rest is about ${share(charge.likely)} charged (${share(charge.low)} to ${share(charge.high)}).`,
    ...(isTooLowToBegin(charge) ? ['That is too low for a fair test: charge it first.'] : []),
    ...(charge.likely >= 1
      ? [
          `So high it may be surface charge: let it rest ${say(charge.rests, 'h', 1)}, or it seems better than it is.`,
        ]
      : []),
  ]
}

/** The whole bank from one load test to the next: how much stiffer it became by what was joined to it or taken away. */
export function bankChanges(tests: readonly LoadTestFigures[]): string[] {
  const whole = tests.flatMap(({ entry, what, R_10 }) =>
    entry.reading.battery === undefined && isFigure(R_10) ? [{ what, R: R_10.x.value }] : [],
  )
  return whole.slice(1).flatMap(({ what, R }, i) => {
    const before = whole[i]
    if (!before || !(before.R > 0) || Math.abs(R / before.R - 1) < 0.05) return []
    return [
      `${what}: ${say(1000 * before.R, 'mΩ')} became ${say(1000 * R, 'mΩ')}, so at like amps it sags ${say(100 * Math.abs(1 - R / before.R), '%', 2)} ${R < before.R ? 'less' : 'more'}.`,
    ]
  })
}

interface Ranked {
  readonly what: string
  readonly R: Figure
  readonly nominal: number
}

/** Batteries by the newest load test of each, the strongest first: by resistance over nominal volts, so that sag at equal watts does not mislead. */
export function rankBatteries(tests: readonly LoadTestFigures[]): string[] {
  const newest = new Map<string, Ranked>()
  for (const { entry, bank, what, R_10 } of tests) {
    const battery = bank.strings.flat().find(({ id }) => id === entry.reading.battery)
    if (battery && isFigure(R_10)) newest.set(battery.id, { what, R: R_10, nominal: battery.nominal })
  }
  const ranked = [...newest.values()].sort((a, b) => a.R.x.value / a.nominal - b.R.x.value / b.nominal)
  const [best] = ranked
  if (!best || ranked.length < 2) return []
  const times = (one: Ranked) => one.R.x.value / one.nominal / (best.R.x.value / best.nominal)
  return [
    `Strongest first: ${ranked
      .map(
        (one, i) =>
          `${one.what} ${say(1000 * one.R.x.value, 'mΩ')}${i ? ` (${say(times(one), '', 2)} times)` : ''}`,
      )
      .join(', ')}.`,
    `Take ${best.what}. A newer or fuller one seems stronger: test all at like charge and warmth.`,
  ]
}
