import { choosePlan, type LadderPlan, type Question } from '@even-watt/core'
import { expose } from 'comlink'

/** Choosing runs beside the page, so that the page stays quick and a long search can be ended. */
const chooser = {
  choose: (question: Question, looked: (count: number) => void): LadderPlan =>
    choosePlan(question, {
      progress: (count) => {
        looked(count)
        return true
      },
    }),
}

export type Chooser = typeof chooser

expose(chooser)
