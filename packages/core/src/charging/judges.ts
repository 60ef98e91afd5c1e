import { judge, judgeFigure, notShown, notTested, type Judge } from '../findings'
import { decides, formatNumber, say, sayDuration, type Figure } from '../figures'
import { halfWidth, methodSource, rectangular, specificationSource, uncertain } from '../meters'
import { quantityData, rangeOf } from '../evidence'
import { scopeOf, type Analysis } from '../trials'
import { claimValue, sayClaim } from '../units'
import { chargesOf } from './charge'
import { chargingTests, inputCourse, inputPoints } from './input'
import type { Value } from '@even-watt/contract'

/** A value of an input as a figure, on its meter. */
function figureOf(value: Value, entry: string, { evidence, record }: Analysis): Figure {
  const meter = record.revision.meters.find(({ id }) => id === value.meter)
  const range = meter && rangeOf(meter, value)
  const refused = evidence.gate(value, entry)
  return {
    symbol: value.quantity,
    unit: quantityData[value.quantity].unit,
    x:
      meter && range
        ? uncertain(
            value.value,
            specificationSource(meter.id, range.id),
            rectangular(halfWidth(range, value.value)),
          )
        : uncertain(value.value, methodSource('no meter', entry), 0),
    grade: value.grade,
    ...(refused ? { refused } : {}),
    working: {
      formula: `${value.quantity} read on ${meter?.name ?? 'no named meter'}`,
      inputs: [],
      notes: [],
      entries: [entry],
    },
  }
}

/** The most that a charging input took, of the source that is promised. */
export const judgeChargePower: Judge = (evidence) => {
  const { claim, analysis } = evidence
  const wanted = claim.unit === 'A' ? ['I_in'] : ['P_in', 'P_wall']
  const tests = chargingTests(analysis.record, 'input')
    .filter(({ reading }) => claim.source === undefined || reading.source === claim.source)
    .flatMap(({ entry, reading }) =>
      reading.values
        .filter(({ quantity }) => wanted.includes(quantity))
        .map((value) => figureOf(value, entry.id, analysis)),
    )
  const logged = analysis.logs
    .filter(
      ({ entry }) =>
        entry.reading.what === 'charge' &&
        (claim.source === undefined || entry.reading.source === claim.source),
    )
    .flatMap((log) => log.series.filter(({ quantity }) => wanted.includes(quantity)))
    .flatMap((series) => {
      const quantity = series.quantity as Value['quantity']
      const [meter] = series.meters
      return series.product
        ? []
        : [
            figureOf(
              { quantity, value: series.largest, grade: series.grade, ...(meter ? { meter } : {}) },
              series.entries[0] ?? '',
              analysis,
            ),
          ]
    })
  const best = [...tests, ...logged].sort(
    (a, b) => Number(decides(b)) - Number(decides(a)) || b.x.value - a.x.value,
  )[0]
  if (!best) return notTested('What its charging input takes was not read.')
  const verdict = judgeFigure(evidence, best, 'The most that it took')
  // A source that gave no more breaks no promise; where its watts stay alike whatever the volts, the input itself ends there.
  const itself = inputCourse(
    inputPoints(analysis.record).filter(
      ({ source }) => claim.source === undefined || source === claim.source,
    ),
  )
  const byItself =
    claim.source === 'wall' ||
    (itself?.watts !== undefined && Math.abs(best.x.value / itself.watts - 1) < 0.05)
  if (claim.comparator === 'at least' && best.x.value < claimValue(claim) && decides(best))
    return byItself
      ? {
          ...verdict,
          sentence: `${verdict.sentence} ${itself?.watts === undefined ? '' : itself.sentence}`.trim(),
        }
      : notShown(
          evidence,
          'supply',
          `The most that it took is ${formatNumber(best.x.value, 0)} ${best.unit} against ${sayClaim(claim)}.`,
          'A source that gives more, in its window of volts, would show whether it takes more.',
          best,
        )
  return verdict
}

/** From empty to full. */
export const judgeChargeTime: Judge = (evidence) => {
  const { claim, analysis } = evidence
  const charges = chargesOf(analysis).filter(
    ({ log }) => claim.source === undefined || log.entry.reading.source === claim.source,
  )
  const timed = charges
    .filter(({ full }) => full !== undefined)
    .sort((a, b) => Number(b.fromEmpty) - Number(a.fromEmpty) || (a.from ?? 1) - (b.from ?? 1))[0]
  if (timed?.full === undefined) {
    const running = charges.at(-1)
    return running
      ? notShown(
          evidence,
          'time',
          `After ${sayDuration(60 * Math.round(running.log.seconds / 60))} it was not full.`,
          'Charge it until its input falls under a twentieth.',
        )
      : notTested('A charge from empty to full was not timed.')
  }
  const figure: Figure = {
    symbol: 't',
    unit: 'h',
    x: uncertain(
      timed.full / 3600,
      methodSource('charge time', `${timed.log.entry.id}|${scopeOf(analysis.record)}`),
      rectangular(0.03),
    ),
    grade: 'measured',
    working: {
      formula: 'from empty until its input falls under a twentieth, or its gauge stands at 100 %',
      inputs: [],
      notes: [],
      entries: [timed.log.entry.id],
    },
  }
  const outcome = judge(figure.x, claim.comparator, claimValue(claim) / 3600)
  const time = `full after ${sayDuration(60 * Math.round(timed.full / 60))}`
  if (timed.fromEmpty)
    return { outcome, figure, sentence: `From empty it was ${time} against ${sayClaim(claim)}.` }
  const from = timed.from === undefined ? undefined : say(100 * timed.from, '%', 2)
  // What began fuller is full sooner: too long even so is too long from empty.
  if (claim.comparator === 'at most' && outcome.startsWith('not met'))
    return {
      outcome,
      figure,
      sentence: `Even from ${from ?? 'a charge that nobody noted'} it was ${time} only, against ${sayClaim(claim)}.`,
    }
  return notShown(
    evidence,
    'supply',
    from === undefined
      ? `It was ${time}; how full it was before is not noted.`
      : `It was charged from ${from}, not from empty.`,
    from === undefined ? 'Note how full it is at the beginning, or run it down first.' : 'Run it down first.',
    figure,
  )
}
