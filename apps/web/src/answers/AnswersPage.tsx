import { useTrial } from '../trials/useTrial'
import { AnswerLine } from './AnswerLine'
import { AskWave } from './AskWave'
import { ChooseQuestions } from './ChooseQuestions'
import { ReadNext } from './ReadNext'
import { useReadingOrder } from './useReadingOrder'
import { useAnswers, useAsked } from './useAnswers'

/** A trial opens on its questions: each answered in a sentence, or with what is still to be read. */
export function AnswersPage() {
  const { trial, entries } = useTrial()
  const asked = useAsked()
  const answers = useAnswers(asked)
  const weighing = useReadingOrder(trial, entries, answers)
  return (
    <>
      <h1 className="mb-3 max-w-4xl">{trial.purpose ?? trial.title}</h1>
      <AskWave />
      <ReadNext answers={answers} {...weighing} trial={trial.id} />
      <ol aria-label="Questions">
        {answers.map((answer) => (
          <AnswerLine key={answer.id} answer={answer} trial={trial.id} />
        ))}
      </ol>
      <ChooseQuestions asked={asked} />
    </>
  )
}
