import { many, reportParts, type Stage } from '../stage'

/** The home of a trial: its questions, each with its answer or what is still to be read. */
export const answers: Stage = {
  words: 'Answers',
  pages: [
    {
      path: 'answers',
      load: async () => ({ default: (await import('./AnswersPage')).AnswersPage }),
    },
  ],
  report: reportParts('answer', () => import('./ReportPart'), [['Questions', 'QuestionsPart']]),
  state: ({ trial, analysis }) => {
    const asked = trial.questions?.length
    const begun = analysis.ladder.steps.length > 0
    return {
      said: asked ? many(asked, 'question') : begun ? 'all questions' : 'what to read',
      done: begun ? 'part' : 'none',
    }
  },
}
