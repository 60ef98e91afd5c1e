import {
  answerOf,
  catalogue,
  decides,
  expanded,
  ratedPower,
  sayClaim,
  tellingRig,
  viewTrial,
  wordedIn,
  type TrialView,
  type Writing,
} from '@even-watt/core'
import { entriesOf, type TrialText } from './text'

/** What a trial tells those who did not open it. */
export interface Told {
  /** What was found, as the bench writes. */
  readonly sentences: readonly string[]
  /** Figures of its telling rig that may decide, by name: value and expanded uncertainty. */
  readonly figures: Readonly<Record<string, readonly [value: number, U: number]>>
  /** W on its label. */
  readonly rated: number | null
}

export function tell(text: TrialText, way: Writing): Told {
  return wordedIn(way, () => {
    const view = viewTrial(text.trial, entriesOf(text))
    const rig = tellingRig(view.analyses)
    return {
      sentences: sentencesOf(text, view),
      figures: Object.fromEntries(
        catalogue.rigs.flatMap((figured) => {
          const figure = rig && figured.of(rig)
          return figure && decides(figure) && Number.isFinite(expanded(figure.x))
            ? [[figured.id, [figure.x.value, expanded(figure.x)] as const]]
            : []
        }),
      ),
      rated: (rig && ratedPower(rig.record.revision.unit)) ?? null,
    }
  })
}

const sentencesOf = (text: TrialText, { findings, analyses }: TrialView): string[] => [
  ...(text.trial.answer?.said ?? []),
  ...answerOf(findings, analyses).bench,
  ...findings.map(
    ({ claim, standing }) =>
      `${claim.quantity}, ${sayClaim(claim)}: ${standing.outcome}. ${standing.sentence}`,
  ),
]
