import { hindrance, type Asked, type Evidence, type Hindrance, type Promised } from '../../court'
import { nearlyAll, promisedLoad, tooMuch } from '../../facts'
import { plain, say, sayFigure, type Figure } from '../../figures'
import { meanWatts, type Log } from '../../logs'
import { heatOf, settledOrHottest, type PlaceHeat } from '../heat'

/**
 * Case temperature: where it would settle; as hot as it was is a bound from below. With nearly all that it is rated for it
 * shows the promise, with no more than that it breaks it.
 */
export const caseTemperature: Promised = {
  units: ['°C'],
  usual: { unit: '°C', comparator: 'at most' },
  at: 'endurance',
  several: 'worst',
  room: 'heat',
  voltsOf: 'steady',
  evidence: (asked) =>
    caseEvidence(asked, settledOrHottest, ({ settles }) =>
      settles ? 'its case would settle at' : 'its case came to',
    ),
  absent: () => 'The case was not felt over a hold: note its temperature at check-ins.',
}

/** The case over each hold, as a figure that is made of how it warmed. */
export const caseEvidence = (
  asked: Asked,
  figureOf: (heat: PlaceHeat) => Figure,
  words: (heat: PlaceHeat) => string,
): Evidence[] =>
  asked.analysis.logs.flatMap((log) =>
    heatOf(log, asked.analysis)
      .filter(({ place }) => place === 'case')
      .map((heat): Evidence => ({
        code: heat.settles ? 'settles' : 'reached',
        figure: figureOf(heat),
        bound: heat.settles ? 'exact' : 'at least',
        hindrances: loadHindrances(log, asked),
        open: stillRising(),
        found: () => `${words(heat)} ${sayFigure(figureOf(heat))}`,
        beside: () => [heat.sentence],
      })),
  )

const stillRising = () =>
  hindrance('still rising', () => ({ why: '', would: 'Hold it for longer, until it settles.' }))

function loadHindrances(log: Log, { claim, analysis }: Asked): Hindrance[] {
  const full = promisedLoad(claim, analysis)
  const watts = meanWatts(log)
  if (full === undefined) return []
  const words = () => ({
    why: `That was with ${watts === undefined ? 'an unknown load' : say(watts, 'W')} of ${plain(full)} W.`,
    would: `Hold ${plain(full)} W until it settles.`,
  })
  return [
    ...((watts ?? 0) < full * nearlyAll ? [hindrance('light load', words)] : []),
    ...((watts ?? 0) > full * tooMuch ? [hindrance('heavy load', words)] : []),
  ]
}
