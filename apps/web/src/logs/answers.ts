import {
  batteriesIn,
  chargesOf,
  deratesFrom,
  fanOf,
  firstEmpty,
  gaugeChecks,
  heatOf,
  runDownsOf,
  say,
  sayGauge,
  seriesFor,
  solarDay,
  worstOf,
  type Analysis,
  type Log,
} from '@even-watt/core'

/** What a log says, the most telling first. */
export function answersOf(log: Log, analysis: Analysis): string[] {
  const run = runDownsOf(analysis).find((one) => one.log === log)
  const sun = log.entry.reading.what === 'charge' ? solarDay(log) : undefined
  const gauge = worstOf(gaugeChecks(log))
  const fan = fanOf(log)
  const derates = deratesFrom(log)
  const minutes = (s: number) => say(s / 60, 'min', 2)
  return [
    ...(run ? [run.sentence] : []),
    ...chargesOf(analysis).flatMap((charge) => (charge.log === log ? [charge.sentence] : [])),
    ...(sun ? [sun.sentence] : []),
    ...heatOf(log, analysis).flatMap((place) => [
      place.sentence,
      ...(place.atSwitchOff === undefined
        ? []
        : [
            `Carried back to the moment of switching off, the ${place.place} was at ${say(place.atSwitchOff, '°C', 3)}.`,
          ]),
    ]),
    ...batterySentences(log, analysis),
    ...(gauge && Math.abs(gauge.shown - gauge.left) > 0.03 ? [`Its gauge: ${sayGauge(gauge)}.`] : []),
    ...(derates
      ? [
          `It derates: from ${say(derates.from, 'W')} to ${say(derates.to, 'W')} from ${minutes(derates.at)} on, while the load’s resistance did not change.`,
        ]
      : []),
    ...(fan
      ? [
          `${fan.seenToStart ? `The fan started after ${minutes(fan.starts)}` : `The fan ran when it was first looked at, after ${minutes(fan.starts)},`}${fan.watts === undefined ? '' : ` at ${say(fan.watts, 'W')}`}${fan.celsius === undefined ? '' : `, with ${say(fan.celsius, '°C', 2)} at the case`}${fan.runsOn === undefined ? '' : `, and ran on for ${minutes(fan.runsOn)}`}${fan.cycle === undefined ? '' : `; it starts every ${minutes(fan.cycle)}`}.`,
        ]
      : []),
  ]
}

/** How batteries share it: what each gave beside what the network has, which ended first, or will. */
function batterySentences(log: Log, analysis: Analysis): string[] {
  const shares = batteriesIn(log, analysis)
  const amps = seriesFor(log, 'I') ?? seriesFor(log, 'I_bank')
  const mean =
    amps && amps.integral.hours > 0 ? amps.integral.value / amps.integral.hours : amps?.points[0]?.value
  const ahead = mean ? firstEmpty(analysis, mean) : undefined
  const percent = (share: number) => say(100 * share, '%', 2)
  return [
    ...(shares?.strings.some(({ read }) => read !== undefined)
      ? [
          `${shares.strings
            .map(
              ({ name, read, predicted }) =>
                `${name} gave ${read === undefined ? 'an unknown share' : percent(read)}${predicted === undefined ? '' : ` (its share by resistance is ${percent(predicted)})`}`,
            )
            .join(', ')}.`,
        ]
      : []),
    ...(shares?.first && !log.ended ? [`First to end: ${shares.first.sentence}`] : []),
    ...(!log.ended && !shares?.first && ahead
      ? [
          `By its share and its Ah ${ahead.name} empties first, after about ${say(ahead.hours, 'h', 2)} from full; the next one after ${say(ahead.others, 'h', 2)}.`,
        ]
      : []),
    ...(shares?.spread && shares.spread.to > 0.05
      ? [
          `They stand ${say(shares.spread.to, 'V', 2)} apart, per 12 V; at the beginning ${say(shares.spread.from, 'V', 2)}.`,
        ]
      : []),
  ]
}
