import { answerOf, sayClaim, viewTrial, wordedIn, type Writing } from '@even-watt/core'
import { entriesOf, type TrialText } from '../trials/text'

/** What was found in a trial, in sentences as the bench writes them. */
export function findingSentences(text: TrialText, way: Writing): string[] {
  return wordedIn(way, () => {
    const { findings, analyses } = viewTrial(text.trial, entriesOf(text))
    return [
      ...(text.trial.answer?.said ?? []),
      ...answerOf(findings, analyses).bench,
      ...findings.map(
        ({ claim, standing }) =>
          `${claim.quantity}, ${sayClaim(claim)}: ${standing.outcome}. ${standing.sentence}`,
      ),
    ]
  })
}
